import * as z from 'zod';
import { FORMULA_LIMITS } from '../formula/formulaLimits';
import { localIdSchema } from '../formula/formulaSchema';

/** What the breads of a ladder differ in, one thing at a time. */
export const LADDER_AXES = ['water', 'binder', 'yeast', 'proof', 'oven'] as const;
export type LadderAxis = (typeof LADDER_AXES)[number];

export const LADDER_LIMITS = {
  rungs: { min: 2, max: FORMULA_LIMITS.ways },
  pieces: { min: 1, max: 200 },
  /** Points of hydration, percent of what there is, or °C. */
  value: { min: -300, max: 1000 },
} as const;

const value = z.number().min(LADDER_LIMITS.value.min).max(LADDER_LIMITS.value.max);

/** A ladder as it is asked for. */
export const ladderWishSchema = z.strictObject({
  axis: z.enum(LADDER_AXES),
  /**
   * One for each rung, rising: of water points of hydration more or less than the formula has (−5, 0, 5); of binder, yeast and proof percent of what it has
   * (80, 100, 120); of the oven °C more or less (−20, 0, 20).
   */
  values: z.array(value).min(LADDER_LIMITS.rungs.min).max(LADDER_LIMITS.rungs.max),
  pieces: z.number().int().min(LADDER_LIMITS.pieces.min).max(LADDER_LIMITS.pieces.max),
  /** Dough of one piece on the rung that has least, g. */
  pieceMassG: z.number().min(FORMULA_LIMITS.pieceMassG.min).max(FORMULA_LIMITS.pieceMassG.max),
});
export type LadderWish = z.infer<typeof ladderWishSchema>;

/** What of a batch is a ladder: each rung is a way of its sheet, called by a code while nobody is to know which it is. */
export const ladderSchema = z.strictObject({
  axis: z.enum(LADDER_AXES),
  rungs: z
    .array(
      z.strictObject({
        id: localIdSchema,
        code: z.string().min(1).max(12),
        value,
        /** What it alone gets; null: nothing more than the dough of all. */
        lineId: localIdSchema.nullable(),
      }),
    )
    .min(LADDER_LIMITS.rungs.min)
    .max(LADDER_LIMITS.rungs.max),
});
export type Ladder = z.infer<typeof ladderSchema>;
