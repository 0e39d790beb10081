import type { CrumbFigures } from '../photo/photoSchema';
import { formOf } from './learnSlice';
import { evennessRead, lineRead, poreSpread } from './reading';
import type { SliceFigures } from './slice';

/** Figures of a cut that was read, for tests. */
export const testCut = (part: Partial<CrumbFigures>): CrumbFigures => ({
  reader: 1,
  porosityPercent: 22,
  holes: 120,
  middleHolePercent: 2,
  evenness: 0.7,
  tunnelPercent: 8,
  denseLinePercent: 2,
  heightToWidth: 0.9,
  outline: [
    { x: 0.2, y: 0.2 },
    { x: 0.8, y: 0.2 },
    { x: 0.5, y: 0.8 },
  ],
  marks: [],
  ...part,
});

/** What a reader would say of just this slice; `off`: by how much a day and a camera are off, a normal of so much sd. */
export function cutOf(slice: SliceFigures, off: (sd: number) => number = () => 0): CrumbFigures {
  const middleMm = slice.poreMm * Math.exp(1.5 * poreSpread(slice.evenness) ** 2);
  return testCut({
    heightToWidth: formOf(slice) * Math.exp(off(0.13)),
    porosityPercent: Math.min(90, 100 * slice.seen * Math.exp(off(0.25))),
    middleHolePercent: ((100 * middleMm) / (formOf(slice) * slice.widthMm)) * Math.exp(off(0.3)),
    evenness: Math.min(1, Math.max(0, evennessRead(slice.evenness) + off(0.1))),
    denseLinePercent: Math.max(0, 100 * lineRead(slice.streak) + off(2)),
  });
}
