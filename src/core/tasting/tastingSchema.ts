import * as z from 'zod';
import { EATER_LIMITS } from '../eaters/eater';
import { localIdSchema } from '../formula/formulaSchema';
import { plainText } from '../plainTextSchema';
import { TASTING_LIMITS } from './limits';
import { OCCASIONS, QUESTION_IDS } from './questions';

const score = z.number().int().min(1).max(5);

/** What one person said of one slice. What was not asked, or not answered, is not in `scores`. */
export const tastingSchema = z
  .strictObject({
    /** Who tasted, by the name used in the kitchen; null: nobody said. */
    taster: plainText(EATER_LIMITS.nameLength).trim().min(1).nullable(),
    occasion: z.enum(OCCASIONS),
    scores: z.partialRecord(z.enum(QUESTION_IDS), score),
    words: plainText(TASTING_LIMITS.wordsLength, { lines: true }),
    /** The rung of a ladder it was cut from; null: the bake is one bread. */
    rungId: localIdSchema.nullable(),
    /** It was tasted by a code, without knowing which of them it was. */
    blind: z.boolean(),
  })
  .superRefine(({ scores, words }, context) => {
    // an empty card says nothing of anything
    if (Object.keys(scores).length === 0 && words.trim() === '')
      context.addIssue({ code: 'custom', path: ['scores'], params: { code: 'required' } });
  });
export type Tasting = z.infer<typeof tastingSchema>;
