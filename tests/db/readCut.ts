import type { CrumbFigures } from '@/core/photo';

/** What was read of a cut that is so high for its width. */
export const readCut = (heightToWidth: number): CrumbFigures => ({
  reader: 1,
  porosityPercent: 22,
  holes: 120,
  middleHolePercent: 2,
  evenness: 0.7,
  tunnelPercent: 8,
  denseLinePercent: 2,
  heightToWidth,
  outline: [
    { x: 0.2, y: 0.2 },
    { x: 0.8, y: 0.2 },
    { x: 0.5, y: 0.8 },
  ],
  marks: [],
});
