import type { Outcome } from './outcomeSchema';

export type { Outcome };

export const OUTCOME_LIMITS = {
  pieces: { min: 0, max: 5000 },
  massG: { min: 1, max: 1_000_000 },
  /** The centre of a piece out of the oven: raw at the least, a dry crispbread at the most, °C. */
  coreTempC: { min: 20, max: 130 },
  wordsLength: 2000,
} as const;

export const SCORE_NAMES = ['crumb', 'crust', 'chew', 'flavour'] as const;

export const emptyOutcome: Outcome = {
  pieces: null,
  massBeforeG: null,
  massAfterG: null,
  coreTempC: null,
  scores: { crumb: null, crust: null, chew: null, flavour: null },
  again: null,
  words: '',
};

/** Weight lost from tin to rack, % of the weight before; null unless both were weighed. */
export function lossPercent({
  massBeforeG,
  massAfterG,
}: Pick<Outcome, 'massBeforeG' | 'massAfterG'>): number | null {
  return massBeforeG === null || massAfterG === null
    ? null
    : (100 * (massBeforeG - massAfterG)) / massBeforeG;
}
