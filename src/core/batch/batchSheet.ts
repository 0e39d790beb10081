import * as z from 'zod';
import { STAGE_KINDS, STYLES } from '../formula/formula';
import { formulaSchema, localIdSchema } from '../formula/formulaSchema';
import { methodStepSchema } from '../method/stepSchema';
import { LIMITED_BY } from '../process/fits';
import { ladderSchema } from '../trial/ladderSchema';

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
  /** In the measures it was said in, scaled: beside the grams. */
  counts: z.array(z.strictObject({ count: z.number(), measure: z.string() })).optional(),
  /** Put out, and goes in only if the dough asks for it. */
  heldBack: z.literal(true).optional(),
  /** The formula's line where this is a part of it, and which part of how many. */
  of: z.strictObject({ lineId: localIdSchema, at: z.number().int(), of: z.number().int() }).optional(),
  /** For another day, when what was put by is taken out: not asked for today. */
  later: z.literal(true).optional(),
  /** The step that asks for it; absent: it is weighed before the first. */
  atStepId: localIdSchema.optional(),
});
export type BatchLine = z.infer<typeof batchLineSchema>;

/** Before and after rounding to the scale; percent of the flour base, null without one. */
const shiftSchema = z.strictObject({ exact: z.number().nullable(), rounded: z.number().nullable() });
export type Shift = z.infer<typeof shiftSchema>;

export const nthSchema = z
  .strictObject({ at: z.number().int().min(1), of: z.number().int().min(2) })
  .nullable();

/** What a step of the sheet is of the formula's method: core/process/activities.ts. */
const activitySchema = z.strictObject({
  id: localIdSchema,
  stepId: localIdSchema,
  wayId: localIdSchema.nullable(),
  load: nthSchema,
  side: nthSchema,
  time: nthSchema,
  /** Of a dough that no bowl takes at once. */
  mix: nthSchema.unwrap().optional(),
  pieces: z.number().int().positive().nullable(),
});

const wayOfSheetSchema = z.strictObject({
  wayId: localIdSchema,
  name: z.string(),
  count: z.number().int().nonnegative(),
  doughG: z.number().positive(),
  bakedG: z.number().positive(),
  /** Too little for one more piece. */
  overG: z.number().nonnegative(),
  putBy: formulaSchema.shape.ways.unwrap().element.shape.putBy,
  /** What is done to what was put by on the day it is taken out: no call of this batch. */
  later: z.array(methodStepSchema).optional(),
});

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
  /** As they are done: repeats, loads and sides one by one, each with an id of its own. */
  steps: z.array(methodStepSchema),
  /** Those of the steps that are one of several, or of one way; absent: none is. */
  activities: z.array(activitySchema).optional(),
  /** How many go in together where a batch does not go in at once, and what decides it; `fits` 0: not one does, and one goes in all the same. */
  loads: z
    .array(
      z.strictObject({
        stepId: localIdSchema,
        wayId: localIdSchema.nullable(),
        fits: z.number().int().nonnegative(),
        by: z.enum(LIMITED_BY),
        loads: z.number().int().min(1),
      }),
    )
    .optional(),
  /** A dough that is mixed in several; absent: in one. */
  mixes: z.strictObject({ count: z.number().int().min(2), mostG: positive }).optional(),
  /** The breads a dough parts into; absent: it is one. */
  ways: z.array(wayOfSheetSchema).optional(),
  /** Which bag of an ingredient was open on the day, with its name then; absent before bags were told apart. */
  lots: z.array(z.strictObject({ ingredientId: z.string(), lotId: z.string(), name: z.string() })).optional(),
  /** What no piece takes of what is made for them, and how it keeps where that is said. */
  leftOver: z
    .array(
      z.strictObject({
        stageId: localIdSchema,
        name: z.string(),
        massG: positive,
        perPieceG: positive,
        keeps: formulaSchema.shape.stages.element.shape.keeps.unwrap(),
      }),
    )
    .optional(),
  /** Its ways are the rungs of a ladder: one dough, one thing different on each. */
  ladder: ladderSchema.optional(),
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
