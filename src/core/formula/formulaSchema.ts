import * as z from 'zod';
import { SHAPES, TIN_KINDS } from '../method/heating';
import { methodStepSchema } from '../method/stepSchema';
import { plainText } from '../plainTextSchema';
import { FORMULA_LIMITS, STAGE_KINDS, STYLES } from './formulaLimits';

/** Ids are made by the caller and only have to be unique inside one formula. */
export const localIdSchema = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);

const lineSchema = z.strictObject({
  id: localIdSchema,
  ingredientId: z.string().regex(/^[a-z0-9-]{1,60}$/),
  massG: z.number().min(FORMULA_LIMITS.lineMassG.min).max(FORMULA_LIMITS.lineMassG.max),
  note: plainText(FORMULA_LIMITS.noteLength),
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
    })
    .optional(),
});
export type Line = z.infer<typeof lineSchema>;

const stageSchema = z.strictObject({
  id: localIdSchema,
  kind: z.enum(STAGE_KINDS),
  name: plainText(40),
  lines: z.array(lineSchema).max(FORMULA_LIMITS.linesPerStage),
});
export type Stage = z.infer<typeof stageSchema>;

/**
 * A formula as it is saved: plain data, grams inside. `percentBase` is the stated choice of what counts as 100 %:
 * the flours, starches and seed meals alone, or the binders with them.
 */
export const formulaSchema = z.strictObject({
  name: plainText(FORMULA_LIMITS.nameLength).trim().min(1),
  style: z.enum(STYLES),
  about: plainText(FORMULA_LIMITS.aboutLength, { lines: true }),
  percentBase: z.enum(['flours', 'floursAndBinders']),
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
  bakedAs: z
    .strictObject({
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
    })
    .optional(),
});
export type BakedAs = NonNullable<z.infer<typeof formulaSchema>['bakedAs']>;
export type Formula = z.infer<typeof formulaSchema>;
