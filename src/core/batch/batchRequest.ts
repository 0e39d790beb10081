import * as z from 'zod';
import { FORMULA_LIMITS } from '../formula/formula';
import { FACTOR_LIMITS } from './factorLimits';
import { localIdSchema } from '../formula/formulaSchema';

const { pieces, pieceMassG, lossPercent, lineMassG } = FORMULA_LIMITS;

const loss = z.number().min(lossPercent.min).max(lossPercent.max);

/** How much is to be made, in the words in which a baker asks for it. Shared by the batch page and the server. */
export const batchRequestSchema = z.discriminatedUnion('mode', [
  z.strictObject({
    mode: z.literal('pieces'),
    pieces: z.number().int().min(pieces.min).max(pieces.max),
    pieceMassG: z.number().min(pieceMassG.min).max(pieceMassG.max),
    /** Is the piece weighed as dough, or as it leaves the oven? */
    weighed: z.enum(['dough', 'baked']),
    bakeLossPercent: loss,
    bowlLossPercent: loss,
  }),
  z.strictObject({
    mode: z.literal('factor'),
    factor: z.number().min(FACTOR_LIMITS.min).max(FACTOR_LIMITS.max),
    pieceMassG: z.number().min(pieceMassG.min).max(pieceMassG.max),
    bowlLossPercent: loss,
  }),
  z.strictObject({
    mode: z.literal('fixed'),
    lineId: localIdSchema,
    massG: z.number().min(lineMassG.min).max(lineMassG.max),
    pieceMassG: z.number().min(pieceMassG.min).max(pieceMassG.max),
    bowlLossPercent: loss,
  }),
  /** Of a dough that parts: so many of each of its breads. */
  z.strictObject({
    mode: z.literal('ways'),
    ways: z
      .array(
        z.strictObject({
          wayId: localIdSchema,
          pieces: z.number().int().min(0).max(pieces.max),
        }),
      )
      .min(1)
      .max(FORMULA_LIMITS.ways),
    pieceMassG: z.number().min(pieceMassG.min).max(pieceMassG.max),
    bowlLossPercent: loss,
  }),
]);
export type BatchRequest = z.infer<typeof batchRequestSchema>;
