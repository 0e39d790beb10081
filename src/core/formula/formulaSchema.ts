import * as z from 'zod';
import { SHAPES, TIN_KINDS } from '../method/heating';
import { methodStepSchema } from '../method/stepSchema';
import { plainText } from '../plainTextSchema';
import { FORMULA_LIMITS, KEPT_IN, PERCENT_BASES, PUT_BY, STAGE_KINDS, STYLES } from './formulaLimits';

/** Ids are made by the caller and only have to be unique inside one formula. */
export const localIdSchema = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);

const lineSchema = z.strictObject({
  id: localIdSchema,
  ingredientId: z.string().regex(/^[a-z0-9-]{1,60}$/),
  massG: z.number().min(FORMULA_LIMITS.lineMassG.min).max(FORMULA_LIMITS.lineMassG.max),
  note: plainText(FORMULA_LIMITS.noteLength),
  /** Put out, and goes in only if the dough asks for it: in no total. */
  heldBack: z.literal(true).optional(),
  /** How it was measured if not by weight ("1 1/2 cups"), and between which weights that lies; gone when the weight is changed. */
  measured: z
    .strictObject({
      said: plainText(60),
      lowG: z
        .number()
        .min(0)
        .max(FORMULA_LIMITS.lineMassG.max * 2),
      highG: z
        .number()
        .min(0)
        .max(FORMULA_LIMITS.lineMassG.max * 2),
      /** The same as counts of measures, to be scaled: "1 cup less 1 tbsp" is 1 cup and −1 tbsp. */
      counts: z
        .array(z.strictObject({ count: z.number().min(-1000).max(100_000), measure: plainText(24).min(1) }))
        .min(1)
        .max(4)
        .optional(),
    })
    .optional(),
});
export type Line = z.infer<typeof lineSchema>;

const stageSchema = z.strictObject({
  id: localIdSchema,
  kind: z.enum(STAGE_KINDS),
  name: plainText(40),
  lines: z.array(lineSchema).max(FORMULA_LIMITS.linesPerStage),
  /** Of what goes on or with the bread: how much one piece takes, g; absent or null: all of it. */
  perPieceG: z
    .number()
    .min(FORMULA_LIMITS.lineMassG.min)
    .max(FORMULA_LIMITS.lineMassG.max)
    .nullable()
    .optional(),
  /** Of a bath or of dusting: the share the bread keeps; absent: as is usual. */
  takenUp: z
    .strictObject({ lowPercent: z.number().min(0).max(100), highPercent: z.number().min(0).max(100) })
    .refine(({ lowPercent, highPercent }) => lowPercent <= highPercent, { params: { code: 'rangeReversed' } })
    .optional(),
  /** What is left over keeps so long, days, and where. */
  keeps: z
    .strictObject({
      place: z.enum(KEPT_IN),
      days: z.number().int().min(FORMULA_LIMITS.keepsDays.min).max(FORMULA_LIMITS.keepsDays.max),
    })
    .optional(),
  /** Made by a formula of its own. */
  formulaId: z.uuid().optional(),
});
export type Stage = z.infer<typeof stageSchema>;

const bakedAsSchema = z.strictObject({
  shape: z.enum(SHAPES),
  lengthCm: z.number().min(2).max(120).nullable(),
  widthCm: z.number().min(2).max(120).nullable(),
  tin: z.enum(TIN_KINDS).nullable(),
  perLoad: z.number().int().min(1).max(60).nullable(),
  /** An oven of the kit; absent, or one this kitchen has not: its usual one. */
  ovenId: z
    .string()
    .regex(/^[A-Za-z0-9_-]{1,40}$/)
    .optional(),
});
const pieceMassG = z.number().min(FORMULA_LIMITS.pieceMassG.min).max(FORMULA_LIMITS.pieceMassG.max);

/**
 * One of several breads of a dough: which part of it, made into what, by which steps of its own. What its pieces are in the end: eaten
 * the day they are made, or put by.
 */
const waySchema = z.strictObject({
  id: localIdSchema,
  name: plainText(FORMULA_LIMITS.wayNameLength),
  amount: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('pieces'),
      pieces: z.number().int().min(FORMULA_LIMITS.pieces.min).max(FORMULA_LIMITS.pieces.max),
      pieceMassG,
    }),
    /** Of all the dough that is divided. */
    z.strictObject({
      kind: z.literal('share'),
      share: z.number().min(FORMULA_LIMITS.wayShare.min).max(FORMULA_LIMITS.wayShare.max),
      pieceMassG,
    }),
    /** What the ways before leave. */
    z.strictObject({ kind: z.literal('rest'), pieceMassG }),
  ]),
  bakedAs: bakedAsSchema.optional(),
  steps: z.array(methodStepSchema).max(FORMULA_LIMITS.steps),
  /** Put by as what, and for how long, days; absent: eaten fresh. */
  putBy: z
    .strictObject({
      as: z.enum(PUT_BY),
      days: z.number().int().min(FORMULA_LIMITS.keepsDays.min).max(FORMULA_LIMITS.keepsDays.max),
    })
    .optional(),
});
export type Way = z.infer<typeof waySchema>;

/**
 * A formula as it is saved: plain data, grams inside. `percentBase` is the stated choice of what counts as 100 %:
 * the flours, starches and seed meals alone, the binders with them, or a bag as it was
 * bought with all that is in it.
 */
export const formulaSchema = z.strictObject({
  name: plainText(FORMULA_LIMITS.nameLength).trim().min(1),
  style: z.enum(STYLES),
  about: plainText(FORMULA_LIMITS.aboutLength, { lines: true }),
  percentBase: z.enum(PERCENT_BASES),
  stages: z.array(stageSchema).min(1).max(FORMULA_LIMITS.stages),
  steps: z.array(methodStepSchema).max(FORMULA_LIMITS.steps),
  /** What one batch is usually made into; the batch page starts from it. */
  usualYield: z.strictObject({
    pieces: z.number().int().min(FORMULA_LIMITS.pieces.min).max(FORMULA_LIMITS.pieces.max),
    pieceMassG: z.number().min(FORMULA_LIMITS.pieceMassG.min).max(FORMULA_LIMITS.pieceMassG.max),
    bakeLossPercent: z.number().min(FORMULA_LIMITS.lossPercent.min).max(FORMULA_LIMITS.lossPercent.max),
    bowlLossPercent: z.number().min(FORMULA_LIMITS.lossPercent.min).max(FORMULA_LIMITS.lossPercent.max),
  }),
  /** What one piece is shaped into, where it is not what its style usually is. Inner lengths of a tin; null follows from the mass. */
  bakedAs: bakedAsSchema.optional(),
  /** Where the dough parts once `steps` are done: into so many ways. Without them all of it goes one way, by `steps` and `usualYield`. */
  ways: z.array(waySchema).min(2).max(FORMULA_LIMITS.ways).optional(),
});
export type BakedAs = NonNullable<z.infer<typeof formulaSchema>['bakedAs']>;
export type Formula = z.infer<typeof formulaSchema>;
