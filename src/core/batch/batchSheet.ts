import * as z from 'zod';
import { STAGE_KINDS, STYLES } from '../formula/formula';
import { formulaSchema, localIdSchema } from '../formula/formulaSchema';
import { methodStepSchema } from '../method/stepSchema';

const positive = z.number().positive().max(10_000_000);

// not strict: some saved sheets carry how a line was measured in its formula, which says nothing of a scaled weight
const batchLineSchema = z.object({
  id: localIdSchema,
  ingredientId: z.string(),
  /** The name on the day, so that an old sheet still reads when the library calls it something else. */
  name: z.string(),
  exactG: positive,
  massG: positive,
  stepG: z.number().positive(),
  note: z.string(),
});
export type BatchLine = z.infer<typeof batchLineSchema>;

/** Before and after rounding to the scale; percent of the flour base, null without one. */
const shiftSchema = z.strictObject({ exact: z.number().nullable(), rounded: z.number().nullable() });
export type Shift = z.infer<typeof shiftSchema>;

/**
 * A formula scaled and rounded: what the bench works from. A bake keeps the sheet it ran on whole, so nothing that
 * happens to the formula later changes what was planned that day.
 */
export const batchSheetSchema = z.strictObject({
  name: z.string(),
  style: z.enum(STYLES),
  percentBase: formulaSchema.shape.percentBase,
  factor: positive,
  stages: z.array(
    z.strictObject({
      id: localIdSchema,
      kind: z.enum(STAGE_KINDS),
      name: z.string(),
      lines: z.array(batchLineSchema),
    }),
  ),
  steps: z.array(methodStepSchema),
  /** Which bag of an ingredient was open on the day, with its name then; absent before bags were told apart. */
  lots: z.array(z.strictObject({ ingredientId: z.string(), lotId: z.string(), name: z.string() })).optional(),
  doughG: positive,
  totalG: positive,
  /** Dough that can be divided once the bowl has kept its share. */
  usableDoughG: z.number().nonnegative(),
  pieces: z.strictObject({
    count: z.number().int().nonnegative(),
    doughG: z.number().positive(),
    /** What is left over after whole pieces: one small piece. */
    remainderG: z.number().nonnegative(),
    bakedG: z.number().positive().nullable(),
  }),
  rounding: z.strictObject({
    hydrationAll: shiftSchema,
    salt: shiftSchema,
    binder: shiftSchema,
    /** The line that rounding moved most, relative to its own mass. */
    worst: z.strictObject({ lineId: localIdSchema, percent: z.number() }).nullable(),
  }),
});
export type BatchSheet = z.infer<typeof batchSheetSchema>;
