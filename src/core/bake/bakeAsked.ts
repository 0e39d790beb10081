import { SCORE_NAMES } from './outcome';

/** From here on a score of one to five is good; up to there it is bad. */
const [GOOD, BAD] = [4, 2];

/** What a score may have to be, at least and at most; a bake without it is not asked for. */
export const SCORES_ASKED = SCORE_NAMES.flatMap((name) => [
  { id: `${name}.good`, name, least: GOOD, most: null } as const,
  { id: `${name}.bad`, name, least: null, most: BAD } as const,
]);
export type ScoreAsked = (typeof SCORES_ASKED)[number];

/** What a bake may have to have told: its cut read from a picture, a rise, how the dough felt. */
export const TOLD_ASKED = ['cut', 'rise', 'feel'] as const;
export type ToldAsked = (typeof TOLD_ASKED)[number];
