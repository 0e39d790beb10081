import { z } from 'zod';
import { plainText } from '../plainText';

export const OUTCOME_LIMITS = {
  pieces: { min: 0, max: 5000 },
  massG: { min: 1, max: 1_000_000 },
  /** The centre of a piece out of the oven: raw at the least, a dry crispbread at the most, °C. */
  coreTempC: { min: 20, max: 130 },
  wordsLength: 2000,
} as const;

export const SCORE_NAMES = ['crumb', 'crust', 'chew', 'flavour'] as const;

const score = z.number().int().min(1).max(5).nullable();

/** What came out, as the baker logs it. Everything but the words may be left open. */
export const outcomeSchema = z
  .strictObject({
    pieces: z.number().int().min(OUTCOME_LIMITS.pieces.min).max(OUTCOME_LIMITS.pieces.max).nullable(),
    massBeforeG: z.number().min(OUTCOME_LIMITS.massG.min).max(OUTCOME_LIMITS.massG.max).nullable(),
    massAfterG: z.number().min(OUTCOME_LIMITS.massG.min).max(OUTCOME_LIMITS.massG.max).nullable(),
    coreTempC: z.number().min(OUTCOME_LIMITS.coreTempC.min).max(OUTCOME_LIMITS.coreTempC.max).nullable(),
    scores: z.strictObject({ crumb: score, crust: score, chew: score, flavour: score }),
    again: z.enum(['yes', 'changed', 'no']).nullable(),
    words: plainText(OUTCOME_LIMITS.wordsLength, { lines: true }),
  })
  .superRefine(({ massBeforeG, massAfterG }, context) => {
    // A fried piece may take up nearly as much oil as it loses water, never more than it weighed.
    if (massBeforeG !== null && massAfterG !== null && massAfterG > massBeforeG) {
      context.addIssue({ code: 'custom', path: ['massAfterG'], params: { code: 'heavierThanBefore' } });
    }
  });
export type Outcome = z.infer<typeof outcomeSchema>;

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
