import { SCORE_NAMES } from './outcome';

/** What a score may have to be: good or better, or bad or worse. */
export const SCORES_ASKED = SCORE_NAMES.flatMap((name) => [`${name}.good`, `${name}.bad`] as const);
/** What a bake may have to have told: its cut read from a picture, a rise, how the dough felt. */
export const TOLD_ASKED = ['cut', 'rise', 'feel'] as const;

/** What of its bakes a kitchen asks its logbook for, beyond words and verdict. */
export interface BakeAsked {
  readonly score: (typeof SCORES_ASKED)[number] | null;
  readonly told: (typeof TOLD_ASKED)[number] | null;
}

/** From here on a score of one to five is good; up to there it is bad. */
export const GOOD_SCORE = 4;
export const BAD_SCORE = 2;

/** Which score is asked for, and between which figures, both included; a bake without it is not asked for. */
export function scoreAsked(score: NonNullable<BakeAsked['score']>): {
  readonly name: (typeof SCORE_NAMES)[number];
  readonly atLeast: number;
  readonly atMost: number;
} {
  const [name, how] = score.split('.') as [(typeof SCORE_NAMES)[number], 'good' | 'bad'];
  return how === 'good' ? { name, atLeast: GOOD_SCORE, atMost: 5 } : { name, atLeast: 1, atMost: BAD_SCORE };
}
