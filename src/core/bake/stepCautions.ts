import type { BatchSheet } from '../batch/batchSheet';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { MethodStep } from '../method/step';

/** What can hurt somebody at a step of a bake, in the order it is told. */
const STEP_CAUTIONS = ['lye', 'hotOil', 'boilingSugar', 'hotLid', 'steam', 'rawDough', 'warmLong', 'cutWhenSet'] as const; // prettier-ignore
export type StepCaution = (typeof STEP_CAUTIONS)[number];

/** Egg and dairy stay no longer than this above {@link WARM_FROM_C} (core/cautions: food rules). */
const WARM_S = 2 * 3600;
const WARM_FROM_C = 15;
/** A bath with at least so much sugar or honey for its water holds heat on a skin, share. */
const SYRUP_SHARE = 0.1;

const RISES: ReadonlySet<MethodStep['kind']> = new Set(['rest', 'bulk', 'proof']);
/** A bath is what a boil step boils in. */
const BATHS: ReadonlySet<string> = new Set(['kettle']);

function concerns(caution: StepCaution, step: MethodStep, sheet: Pick<BatchSheet, 'stages'>, book: IngredientBook): boolean {
  const bath = sheet.stages.filter(({ kind }) => BATHS.has(kind)).flatMap(({ lines }) => lines);
  switch (caution) {
    case 'lye':
      return step.kind === 'boil' && bath.some(({ ingredientId }) => ingredientId === 'lye');
    case 'boilingSugar': {
      const sugarG = bath.reduce((sum, { ingredientId, massG }) => sum + (book.get(ingredientId)?.roles.includes('sweet') ? massG : 0), 0);
      const waterG = bath.reduce((sum, { ingredientId, massG }) => sum + (ingredientId === 'water' ? massG : 0), 0);
      return step.kind === 'boil' && waterG > 0 && sugarG / waterG >= SYRUP_SHARE;
    }
    case 'hotOil':
      return step.kind === 'fry';
    case 'hotLid':
      return step.kind === 'bake' && step.heat?.moist === 'lid';
    case 'steam':
      return step.kind === 'bake' && step.heat?.moist === 'steam';
    case 'rawDough':
      return step.kind === 'mix';
    case 'warmLong': {
      const spoils = sheet.stages.some(({ lines }) =>
        lines.some(({ ingredientId }) => book.get(ingredientId)?.allergens.some((each) => each === 'egg' || each === 'milk')),
      );
      return RISES.has(step.kind) && spoils && (step.tempC ?? 20) > WARM_FROM_C && (step.maxS ?? step.minS ?? 0) >= WARM_S;
    }
    case 'cutWhenSet':
      return step.kind === 'cool';
  }
} // prettier-ignore

/**
 * What to look out for at a step: each is told once in a bake, at the first step it concerns, so that it is still read.
 */
export function stepCautions(sheet: Pick<BatchSheet, 'stages' | 'steps'>, stepId: string, book: IngredientBook): StepCaution[] {
  return STEP_CAUTIONS.filter((caution) => sheet.steps.find((step) => concerns(caution, step, sheet, book))?.id === stepId);
} // prettier-ignore
