import { ok, refuse, type Result } from '../result';
import type { PARTS } from './entryLimits';
import type { Ingredient } from './ingredient';
import { isFlourBase } from './ingredient';
import type { IngredientBook } from './ingredientBook';

/** What is printed on a bought blend. Ingredients in the order of the label, which is by falling weight. */
export interface Label {
  readonly ingredients: readonly { readonly ingredientId: string; readonly percent: number | null }[];
  /** The nutrition panel, g per 100 g; null where it says nothing. */
  readonly panel: {
    readonly fat: number | null;
    readonly carbohydrate: number | null;
    readonly sugars: number | null;
    readonly fibre: number | null;
    readonly protein: number | null;
    readonly salt: number | null;
  };
}

/** More than a label lists, and more than the draws could tell apart. */
const LABEL_INGREDIENTS = 20;

/**
 * The ingredients a label lists, in its order.
 * @returns `required` without ingredients, `tooMany` above 20, `unknownIngredient`, `tooLarge` when printed percentages pass 100,
 *   `rangeReversed` when they rise down the list
 */
export function ingredientsOf(label: Label, book: IngredientBook): Result<readonly Ingredient[]> {
  if (label.ingredients.length === 0) return refuse('required', 'ingredients');
  if (label.ingredients.length > LABEL_INGREDIENTS)
    return refuse('tooMany', 'ingredients', { max: LABEL_INGREDIENTS });
  const parts: Ingredient[] = [];
  let lastPercent = 100;
  let stated = 0;
  for (const [index, { ingredientId, percent }] of label.ingredients.entries()) {
    const ingredient = book.get(ingredientId);
    if (!ingredient)
      return refuse('unknownIngredient', `ingredients.${index}.ingredientId`, { ingredientId });
    parts.push(ingredient);
    if (percent === null) continue;
    if (percent < 0) return refuse('tooSmall', `ingredients.${index}.percent`, { min: 0 });
    if (percent > lastPercent) return refuse('rangeReversed', `ingredients.${index}.percent`);
    stated += percent;
    lastPercent = percent;
    if (stated > 100.5) return refuse('tooLarge', `ingredients.${index}.percent`, { max: 100 });
  }
  return ok(parts);
}

/** A gum is never more than this however the label orders it; a label cannot say so, the craft does. */
const mostOf = (ingredient: Ingredient): number =>
  isFlourBase(ingredient) || ingredient.mostShare === null ? 100 : Math.max(ingredient.mostShare, 1);

/** The panel that a mixture would carry, g per 100 g. */
function panelOf(
  parts: readonly Ingredient[],
  shares: readonly number[],
): Record<keyof Label['panel'], number> {
  const together = (figure: (part: Ingredient) => number) =>
    parts.reduce((sum, part, i) => sum + (shares[i] ?? 0) * figure(part), 0);
  const per100g = (name: (typeof PARTS)[number]) => together((part) => part.per100g[name].value);
  const sugars = per100g('sugars');
  return {
    fat: per100g('fat'),
    carbohydrate: per100g('starch') + sugars,
    sugars,
    fibre: per100g('fibre'),
    protein: per100g('protein'),
    salt: together((part) => part.saltPer100g),
  };
}

/** How well shares agree with what is printed. */
export interface LabelFit {
  /** Half the sum of squares of what disagrees, each over its own tolerance: list, panel and what makes sense for a gum. */
  readonly energyOf: (shares: readonly number[]) => number;
  /** Root mean square of the panel alone, in units of what labels are rounded and tolerated to; 0 without a panel. */
  readonly panelMisfitOf: (shares: readonly number[]) => number;
}

/**
 * The panel's spread is 8 % of the figure and at least 0.7 g (EU guidance on tolerances for nutrient values, 2012), together with
 * the spread of each component's composition; a printed percentage is rounded.
 */
export function labelFit(label: Label, parts: readonly Ingredient[]): LabelFit {
  const keys = (Object.keys(label.panel) as (keyof Label['panel'])[]).filter(
    (key) => label.panel[key] !== null,
  );
  const squares = (shares: readonly number[]): number => {
    const computed = panelOf(parts, shares);
    return keys.reduce((sum, key) => {
      const printed = label.panel[key] ?? 0;
      const sd = Math.hypot(Math.max(0.08 * printed, key === 'salt' ? 0.08 : 0.7), 0.05 * computed[key]);
      return sum + ((printed - computed[key]) / sd) ** 2;
    }, 0);
  };
  return {
    panelMisfitOf: (shares) => (keys.length > 0 ? Math.sqrt(squares(shares) / keys.length) : 0),
    energyOf: (shares) => {
      let energy = squares(shares) / 2;
      parts.forEach((part, i) => {
        const percent = 100 * (shares[i] ?? 0);
        const printed = label.ingredients[i]?.percent;
        if (printed !== null && printed !== undefined) energy += ((percent - printed) / 0.7) ** 2 / 2;
        const over = percent - mostOf(part);
        if (over > 0) energy += (over / 0.3) ** 2 / 2;
      });
      return energy;
    },
  };
}
