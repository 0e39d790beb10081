import type { Estimate } from '../ingredients/ingredient';
import { energyKjPer100g } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Formula } from './formula';
import { Z80 } from '../numeric/normal';
import { insideFormula } from './insideFormula';
import { eatenOf, partMassG, purposeOf } from './parts';
import { yieldOf } from './ways';

export const NUTRIENTS = ['protein', 'fat', 'starch', 'sugars', 'fibre', 'salt'] as const;
type Nutrient = (typeof NUTRIENTS)[number];

/** How much of a part is eaten, g, of how much there is of it. */
interface Counted {
  readonly stageId: string;
  readonly eatenG: number;
  readonly ofG: number;
}

/** What is in the bread as it is eaten; the dough's own figures apart. */
export interface Nutrition {
  /**
   * g per 100 g as eaten: dough and what lies on it with the bake loss taken as water, what of a sauce or filling the pieces take, what of a bath and of
   * dusting is taken up; one standard deviation.
   */
  readonly perBaked100g: Readonly<Record<Nutrient, Estimate>>;
  readonly energyKjPerBaked100g: number;
  /** g per 100 g of flour base; null without one. */
  readonly perBase100g: Readonly<Record<Nutrient, number>> | null;
  /** Starches of the shelf (not the starch inside flours) as a share of the base, %. */
  readonly starchSharePercent: number | null;
  /** What was counted, part by part: those of which not all is eaten are worth a word. */
  readonly counted: readonly Counted[];
}

/**
 * Composition of a formula from the typical composition of its ingredients, without what fermentation eats and baking drives
 * off but water. An estimate for choosing between formulas, not a label.
 */
export function nutritionOf(
  formula: Pick<Formula, 'stages' | 'usualYield' | 'ways'>,
  book: IngredientBook,
  baseG: number,
): Nutrition {
  const zero = () => Object.fromEntries(NUTRIENTS.map((name) => [name, 0])) as Record<Nutrient, number>;
  const all = zero();
  const variance = zero();
  const dough = zero();
  const { bakeLossPercent } = formula.usualYield;
  const made = yieldOf(formula);
  const eaten = new Map(formula.stages.map((stage) => [stage.id, eatenOf(stage, made)]));
  let bakedG = 0;
  const counted = formula.stages.map((stage): Counted => {
    const ofG = partMassG(stage);
    const eatenG = ofG * (eaten.get(stage.id)?.value ?? 1);
    const bakes = purposeOf(stage) === 'dough' || purposeOf(stage) === 'on';
    bakedG += bakes ? eatenG * (1 - bakeLossPercent / 100) : eatenG;
    return { stageId: stage.id, eatenG, ofG };
  });
  let energyKj = 0;
  let starchG = 0;
  for (const { ingredient, massG: thereG, dough: inDough, stageId, heldBack } of insideFormula(
    formula,
    book,
  )) {
    if (heldBack) continue;
    const share = eaten.get(stageId) ?? { value: 1, low: 1, high: 1 };
    const massG = thereG * share.value;
    const takenSdG = (thereG * (share.high - share.low)) / (2 * Z80);
    energyKj += (energyKjPer100g(ingredient) * massG) / 100;
    if (ingredient.roles[0] === 'starch' && inDough) starchG += massG;
    for (const name of NUTRIENTS) {
      const part =
        name === 'salt'
          ? { value: ingredient.saltPer100g, sd: 0.05 * ingredient.saltPer100g }
          : ingredient.per100g[name];
      all[name] += (massG * part.value) / 100;
      variance[name] += ((massG * part.sd) / 100) ** 2 + ((takenSdG * part.value) / 100) ** 2;
      if (inDough) dough[name] += (massG * part.value) / 100;
    }
  }
  bakedG = Math.max(1, bakedG);
  return {
    perBaked100g: Object.fromEntries(
      NUTRIENTS.map((name) => [
        name,
        { value: (100 * all[name]) / bakedG, sd: (100 * Math.sqrt(variance[name])) / bakedG },
      ]),
    ) as Record<Nutrient, Estimate>,
    energyKjPerBaked100g: (100 * energyKj) / bakedG,
    perBase100g:
      baseG > 0
        ? (Object.fromEntries(NUTRIENTS.map((name) => [name, (100 * dough[name]) / baseG])) as Record<
            Nutrient,
            number
          >)
        : null,
    starchSharePercent: baseG > 0 ? (100 * starchG) / baseG : null,
    counted,
  };
}
