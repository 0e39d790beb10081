import { z } from 'zod';
import { methodStepSchema } from '../method/step';
import { plainText } from '../plainText';

/** What can be said of any formula before its ingredients are looked up: sizes that no home or small bakery passes. */
export const FORMULA_LIMITS = {
  nameLength: 80,
  noteLength: 160,
  aboutLength: 4000,
  stages: 12,
  linesPerStage: 60,
  steps: 60,
  /** g of one line: a tenth of what a fine scale shows, to a 100 kg sack */
  lineMassG: { min: 0.01, max: 100_000 },
  /** One line against the flour base, %. */
  linePercent: { min: 0.001, max: 400 },
  /** All water against the flour base, %. The thinnest yeasted pouring batter is near 200. */
  hydrationPercent: 400,
  pieces: { min: 1, max: 5000 },
  pieceMassG: { min: 1, max: 20_000 },
  lossPercent: { min: 0, max: 60 },
} as const;

export const STYLES = [
  'tinLoaf',
  'hearthLoaf',
  'baguette',
  'rolls',
  'pizza',
  'flatbread',
  'boiledRing',
  'friedDough',
  'cheeseBuns',
  'crackers',
] as const;
export type Style = (typeof STYLES)[number];

export const STAGE_KINDS = ['starter', 'soaker', 'scald', 'gel', 'bloom', 'main', 'late', 'topping'] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

/** Ids are made by the caller and only have to be unique inside one formula. */
export const localIdSchema = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);

const lineSchema = z.strictObject({
  id: localIdSchema,
  ingredientId: z.string().regex(/^[a-z0-9-]{1,60}$/),
  massG: z.number().min(FORMULA_LIMITS.lineMassG.min).max(FORMULA_LIMITS.lineMassG.max),
  note: plainText(FORMULA_LIMITS.noteLength),
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
 * A formula as it is kept: plain data, grams inside. `percentBase` is the stated choice of what counts as 100 %:
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
});
export type Formula = z.infer<typeof formulaSchema>;

/** Toppings and washes go on the dough, not into it: they are no part of the flour base, the water or the dough mass. */
export const isDoughStage = (stage: Pick<Stage, 'kind'>): boolean => stage.kind !== 'topping';

export const allLines = (formula: Pick<Formula, 'stages'>): Line[] =>
  formula.stages.flatMap((stage) => stage.lines);

/** A sheet with nothing on it yet. */
export function emptyFormula(name: string, stageId: string): Formula {
  return {
    name,
    style: 'tinLoaf',
    about: '',
    percentBase: 'flours',
    stages: [{ id: stageId, kind: 'main', name: 'Dough', lines: [] }],
    steps: [],
    usualYield: { pieces: 1, pieceMassG: 900, bakeLossPercent: 12, bowlLossPercent: 1 },
  };
}
