import type { Estimate } from '../ingredients/ingredient';
import { energyKjPer100g } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { allLines, type Formula } from './formula';
import { insideFormula } from './insideFormula';

export const NUTRIENTS = ['protein', 'fat', 'starch', 'sugars', 'fibre', 'salt'] as const;
type Nutrient = (typeof NUTRIENTS)[number];

/** What is in the dough, toppings included in `whole` but not in the dough's own figures. */
export interface Nutrition {
  /** g per 100 g of the baked piece, with the bake loss taken as water; one standard deviation. */
  readonly perBaked100g: Readonly<Record<Nutrient, Estimate>>;
  readonly energyKjPerBaked100g: number;
  /** g per 100 g of flour base; null without one. */
  readonly perBase100g: Readonly<Record<Nutrient, number>> | null;
  /** Starches of the shelf (not the starch inside flours) as a share of the base, %. */
  readonly starchSharePercent: number | null;
}

/**
 * Composition of a formula from the typical composition of its ingredients, without what fermentation eats and baking drives
 * off but water. An estimate for choosing between formulas, not a label.
 */
export function nutritionOf(
  formula: Pick<Formula, 'stages' | 'usualYield'>,
  book: IngredientBook,
  baseG: number,
): Nutrition {
  const zero = () => Object.fromEntries(NUTRIENTS.map((name) => [name, 0])) as Record<Nutrient, number>;
  const all = zero();
  const variance = zero();
  const dough = zero();
  let totalG = 0;
  let energyKj = 0;
  let starchG = 0;
  for (const line of allLines(formula)) totalG += line.massG;
  for (const { ingredient, massG, dough: inDough } of insideFormula(formula, book)) {
    energyKj += (energyKjPer100g(ingredient) * massG) / 100;
    if (ingredient.roles[0] === 'starch' && inDough) starchG += massG;
    for (const name of NUTRIENTS) {
      const part =
        name === 'salt'
          ? { value: ingredient.saltPer100g, sd: 0.05 * ingredient.saltPer100g }
          : ingredient.per100g[name];
      all[name] += (massG * part.value) / 100;
      variance[name] += ((massG * part.sd) / 100) ** 2;
      if (inDough) dough[name] += (massG * part.value) / 100;
    }
  }
  const bakedG = Math.max(1, totalG * (1 - formula.usualYield.bakeLossPercent / 100));
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
  };
}
