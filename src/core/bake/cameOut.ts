import type { CrumbFigures } from '../photo/photoSchema';
import type { BakeState, TakenPhoto } from './bakeState';

/** What a look at a colour is on the card's scale. */
const LOOKED = { pale: 2, right: 3, dark: 4 } as const;

/** The core as it came out, °C: as it was logged, else the last that was looked at or read. Null: nobody did. */
export const coreOutC = ({ outcome, looks, readings }: BakeState): number | null =>
  outcome?.coreTempC ??
  looks.findLast(({ coreC }) => coreC !== null)?.coreC ??
  readings.findLast((reading) => reading.of === 'core')?.tempC ??
  null;

/** How its colour was called as it came out, on the card's scale; null: nobody said. */
export function colourCalled({ looks }: BakeState): number | null {
  const colour = looks.findLast((look) => look.colour !== null)?.colour ?? null;
  return colour && LOOKED[colour];
}

const isReadCut = ({ of, away, crumb }: TakenPhoto): boolean => of === 'cut' && !away && crumb !== null;

/** How many pictures of its cut are shown and were read. */
export const cutsRead = ({ photos }: BakeState): number => [...photos.values()].filter(isReadCut).length;

/** What was read from the newest picture of its cut that is shown; null: from none. */
export const cutCrumb = ({ photos }: BakeState): CrumbFigures | null =>
  [...photos.values()].findLast(isReadCut)?.crumb ?? null;
