import type { Outcome } from './outcomeSchema';

export type { Outcome };

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

/**
 * Weight lost from tin to rack, % of the weight before; null unless both were weighed.
 *
 * 980 g in and 858 g out is 12.4 %.
 */
export function lossPercent({
  massBeforeG,
  massAfterG,
}: Pick<Outcome, 'massBeforeG' | 'massAfterG'>): number | null {
  return massBeforeG === null || massAfterG === null
    ? null
    : (100 * (massBeforeG - massAfterG)) / massBeforeG;
}
