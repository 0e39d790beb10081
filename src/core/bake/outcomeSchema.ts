import * as z from 'zod';
import { plainText } from '../plainTextSchema';
import { OUTCOME_LIMITS } from './outcomeLimits';

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
