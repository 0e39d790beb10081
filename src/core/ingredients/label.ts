import { seededRandom } from '../numeric/seededRandom';
import { ok, refuse, type Result } from '../result';
import type { Composition, Estimate, Ingredient } from './ingredient';
import { isFlourBase } from './ingredient';
import type { IngredientBook } from './ingredientBook';
import { PARTS } from './entryLimits';

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

export interface LabelEstimate {
  /** Share of each, %, in label order: mean and the 80 % interval. */
  readonly shares: readonly {
    readonly ingredientId: string;
    readonly percent: number;
    readonly low: number;
    readonly high: number;
  }[];
  readonly per100g: Composition;
  /** Root mean square misfit against the panel in units of what labels are rounded and tolerated to; above 2 they disagree. */
  readonly misfit: number;
  /** Mean width of the intervals of shares against complete ignorance: 1 sure, 0 the label says nothing. */
  readonly sureness: number;
  readonly absorption: { readonly gPerG: Estimate; readonly tauMin: number } | null;
  /** Of that, what comes of not knowing the shares: relative sd; 0 where nothing drinks. */
  readonly thirstCv: number;
}

const DRAWS = 6000;
const WARM_UP = 2000;

const panelOf = (c: Record<(typeof PARTS)[number], number>, salt: number) => ({
  fat: c.fat,
  carbohydrate: c.starch + c.sugars,
  sugars: c.sugars,
  fibre: c.fibre,
  protein: c.protein,
  salt,
});

/** A gum is never more than this however the label orders it; a label cannot say so, the craft does. */
const mostOf = (ingredient: Ingredient): number =>
  isFlourBase(ingredient) || ingredient.mostShare === null ? 100 : Math.max(ingredient.mostShare, 1);

/**
 * Estimates what is inside a blend from its label: shares that fall in the order printed, add up to 100 %, keep the
 * percentages that are printed, stay below what makes sense for a gum, and agree with the nutrition panel.
 *
 * Random-walk Metropolis over the ordered simplex (Gelman et al., Bayesian Data Analysis, ch. 11), flat prior on the
 * order's convex hull, seeded, {@link DRAWS} steps. The panel's spread is 8 % of the figure and at least 0.7 g (EU guidance on
 * tolerances for nutrient values, 2012), together with the spread of each component's composition.
 *
 * @returns shares with 80 % intervals and the composition that follows; `required` without ingredients, `tooMany` above 20,
 *   `unknownIngredient`, `tooLarge` when printed percentages pass 100, `rangeReversed` when they rise down the list
 */
export function estimateFromLabel(label: Label, book: IngredientBook, seed = 1): Result<LabelEstimate> {
  const n = label.ingredients.length;
  if (n === 0) return refuse('required', 'ingredients');
  if (n > 20) return refuse('tooMany', 'ingredients', { max: 20 });
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

  // A point of the ordered simplex is a mixture of its corners: the first j ingredients in equal parts, j = 1 ... n.
  const sharesOf = (weights: readonly number[]): number[] => {
    const shares = new Array<number>(n).fill(0);
    let sum = 0;
    for (let j = n - 1; j >= 0; j--) {
      sum += (weights[j] ?? 0) / (j + 1);
      shares[j] = sum;
    }
    return shares;
  };
  const compositionOf = (shares: readonly number[]) => {
    const c = Object.fromEntries(
      PARTS.map((name) => [
        name,
        parts.reduce((sum, part, i) => sum + (shares[i] ?? 0) * part.per100g[name].value, 0),
      ]),
    ) as Record<(typeof PARTS)[number], number>;
    return { c, salt: parts.reduce((sum, part, i) => sum + (shares[i] ?? 0) * part.saltPer100g, 0) };
  };
  const panelKeys = (Object.keys(label.panel) as (keyof Label['panel'])[]).filter(
    (key) => label.panel[key] !== null,
  );
  const misfitOf = (shares: readonly number[]): number => {
    const { c, salt } = compositionOf(shares);
    const reckoned = panelOf(c, salt);
    return panelKeys.reduce((sum, key) => {
      const printed = label.panel[key] ?? 0;
      const sd = Math.hypot(Math.max(0.08 * printed, key === 'salt' ? 0.08 : 0.7), 0.05 * reckoned[key]);
      return sum + ((printed - reckoned[key]) / sd) ** 2;
    }, 0);
  };
  const energyOf = (shares: readonly number[]): number => {
    let energy = misfitOf(shares) / 2;
    parts.forEach((part, i) => {
      const percent = 100 * (shares[i] ?? 0);
      const printed = label.ingredients[i]?.percent;
      if (printed !== null && printed !== undefined) energy += ((percent - printed) / 0.7) ** 2 / 2;
      const over = percent - mostOf(part);
      if (over > 0) energy += (over / 0.3) ** 2 / 2;
    });
    return energy;
  };

  const random = seededRandom(seed);
  let weights = new Array<number>(n).fill(1 / n);
  let energy = energyOf(sharesOf(weights));
  const kept: number[][] = [];
  let step = 0.25;
  let taken = 0;
  for (let draw = 0; draw < WARM_UP + DRAWS; draw++) {
    // pass weight between two corners: the sum stays 1 and every point can be reached
    const i = Math.floor(random() * n);
    const j = Math.floor(random() * n);
    const moved = (random() - 0.5) * 2 * step * (random() < 0.3 ? 0.1 : 1);
    const next = [...weights];
    next[i] = (next[i] ?? 0) + moved;
    next[j] = (next[j] ?? 0) - moved;
    if ((next[i] ?? 0) >= 0 && (next[j] ?? 0) >= 0 && i !== j) {
      const after = energyOf(sharesOf(next));
      if (after <= energy || random() < Math.exp(energy - after)) {
        weights = next;
        energy = after;
        taken++;
      }
    }
    if (draw < WARM_UP && draw % 100 === 99) {
      step = Math.min(0.5, Math.max(0.002, step * (taken < 20 ? 0.7 : taken > 45 ? 1.4 : 1)));
      taken = 0;
    }
    if (draw >= WARM_UP && draw % 4 === 0) kept.push(sharesOf(weights));
  }

  const column = (i: number) => kept.map((shares) => shares[i] ?? 0).sort((a, b) => a - b);
  const quantile = (sorted: readonly number[], q: number) => sorted[Math.floor(q * (sorted.length - 1))] ?? 0;
  const mean = (numbers: readonly number[]) => numbers.reduce((sum, x) => sum + x, 0) / numbers.length;
  const shares = parts.map((part, i) => {
    const sorted = column(i);
    return {
      ingredientId: part.id,
      percent: 100 * mean(sorted),
      low: 100 * quantile(sorted, 0.1),
      high: 100 * quantile(sorted, 0.9),
    };
  });
  const middle = shares.map(({ percent }) => percent / 100);
  const betweenDraws = (figure: (part: Ingredient) => Estimate) => {
    const draws = kept.map((each) =>
      parts.reduce((sum, part, i) => sum + (each[i] ?? 0) * figure(part).value, 0),
    );
    const value = mean(draws);
    return { value, between: mean(draws.map((draw) => (draw - value) ** 2)) };
  };
  const spreadOf = (figure: (part: Ingredient) => Estimate): Estimate => {
    const { value, between } = betweenDraws(figure);
    const within = parts.reduce((sum, part, i) => sum + ((middle[i] ?? 0) * figure(part).sd) ** 2, 0);
    return { value, sd: Math.sqrt(between + within) };
  };
  const per100g = Object.fromEntries(
    PARTS.map((name) => [name, spreadOf((part) => part.per100g[name])]),
  ) as unknown as Composition;
  const none: Estimate = { value: 0, sd: 0 };
  const drinks = (part: Ingredient) => part.absorption?.gPerG ?? none;
  const gPerG = spreadOf(drinks);
  const drinking = parts.reduce(
    (sum, part, i) => sum + (middle[i] ?? 0) * (part.absorption?.gPerG.value ?? 0),
    0,
  );
  // Without any panel the ith of an ordered list still cannot pass 1/i: that width is what ignorance looks like.
  const ignorance = mean(parts.map((_, i) => 80 / (i + 1)));
  return ok({
    shares,
    per100g,
    misfit: panelKeys.length > 0 ? Math.sqrt(misfitOf(middle) / panelKeys.length) : 0,
    sureness: Math.max(0, Math.min(1, 1 - mean(shares.map(({ low, high }) => high - low)) / ignorance)),
    absorption:
      drinking > 0
        ? {
            gPerG,
            tauMin:
              parts.reduce(
                (sum, part, i) =>
                  sum +
                  (middle[i] ?? 0) * (part.absorption?.gPerG.value ?? 0) * (part.absorption?.tauMin ?? 0),
                0,
              ) / drinking,
          }
        : null,
    thirstCv: drinking > 0 ? Math.min(1, Math.sqrt(betweenDraws(drinks).between) / gPerG.value) : 0,
  });
}
