import { middleOf } from '../numeric/quantile';
import { ok, type Result } from '../result';
import { PARTS } from './entryLimits';
import type { Composition, Estimate, Ingredient } from './ingredient';
import type { IngredientBook } from './ingredientBook';
import { ingredientsOf, labelFit, type Label } from './labelFit';
import { drawOrderedShares } from './orderedShares';

export type { Label } from './labelFit';

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

const mean = (numbers: readonly number[]) => numbers.reduce((sum, x) => sum + x, 0) / numbers.length;
const NONE: Estimate = { value: 0, sd: 0 };

/** What follows for a mixture from shares that are known only as draws. */
function mixture(parts: readonly Ingredient[], draws: readonly (readonly number[])[]) {
  const middle = parts.map((_, i) => mean(draws.map((shares) => shares[i] ?? 0)));
  const together = (shares: readonly number[], figure: (part: Ingredient) => number) =>
    parts.reduce((sum, part, i) => sum + (shares[i] ?? 0) * figure(part), 0);
  const betweenDraws = (figure: (part: Ingredient) => Estimate) => {
    const each = draws.map((shares) => together(shares, (part) => figure(part).value));
    const value = mean(each);
    return { value, variance: mean(each.map((one) => (one - value) ** 2)) };
  };
  return {
    middle,
    betweenDraws,
    /** Spread of what the shares may be, and of what each part may be. */
    spreadOf: (figure: (part: Ingredient) => Estimate): Estimate => {
      const { value, variance } = betweenDraws(figure);
      const within = parts.reduce((sum, part, i) => sum + ((middle[i] ?? 0) * figure(part).sd) ** 2, 0);
      return { value, sd: Math.sqrt(variance + within) };
    },
    together: (figure: (part: Ingredient) => number) => together(middle, figure),
  };
}

const gPerG = (part: Ingredient): Estimate => part.absorption?.gPerG ?? NONE;

/**
 * Estimates what is inside a blend from its label: shares that fall in the order printed, add up to 100 %, keep the percentages
 * that are printed, stay below what makes sense for a gum, and agree with the nutrition panel.
 *
 * @returns shares with 80 % intervals and the composition that follows; problems as {@link ingredientsOf}
 */
export function estimateFromLabel(label: Label, book: IngredientBook, seed = 1): Result<LabelEstimate> {
  const listed = ingredientsOf(label, book);
  if (!listed.ok) return listed;
  const parts = listed.value;
  const { energyOf, panelMisfitOf } = labelFit(label, parts);
  const draws = drawOrderedShares(parts.length, energyOf, seed);
  const { middle, betweenDraws, spreadOf, together } = mixture(parts, draws);
  const shares = parts.map((part, i) => {
    const { low, high } = middleOf(draws.map((each) => each[i] ?? 0));
    return { ingredientId: part.id, percent: 100 * (middle[i] ?? 0), low: 100 * low, high: 100 * high };
  });
  const drinks = together((part) => gPerG(part).value);
  const absorbed = spreadOf(gPerG);
  // Without any panel the ith of an ordered list still cannot pass 1/i: that width is what ignorance looks like.
  const ignorance = mean(parts.map((_, i) => 80 / (i + 1)));
  return ok({
    shares,
    per100g: Object.fromEntries(
      PARTS.map((name) => [name, spreadOf((part) => part.per100g[name])]),
    ) as unknown as Composition,
    misfit: panelMisfitOf(middle),
    sureness: Math.max(0, Math.min(1, 1 - mean(shares.map(({ low, high }) => high - low)) / ignorance)),
    absorption:
      drinks > 0
        ? {
            gPerG: absorbed,
            tauMin: together((part) => gPerG(part).value * (part.absorption?.tauMin ?? 0)) / drinks,
          }
        : null,
    thirstCv: drinks > 0 ? Math.min(1, Math.sqrt(betweenDraws(gPerG).variance) / absorbed.value) : 0,
  });
}
