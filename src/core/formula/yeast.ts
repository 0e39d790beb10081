import type { Estimate } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { Z80 } from '../numeric/normal';
import type { Formula } from './formula';
import { insideFormula } from './insideFormula';

/**
 * Grams of fresh yeast that one gram of each kind stands for. Fresh : active dry : instant = 3 : 1.25 : 1 by gassing power;
 * manufacturers' tables differ by the spreads given.
 */
const FRESH_PER_G: Readonly<Record<string, Estimate>> = {
  'fresh-yeast': { value: 1, sd: 0 },
  'active-dry-yeast': { value: 2.4, sd: 0.2 },
  'instant-yeast': { value: 3, sd: 0.25 },
};
export const YEAST_KINDS = ['instant-yeast', 'active-dry-yeast', 'fresh-yeast'] as const;
type YeastKind = (typeof YEAST_KINDS)[number];

export interface YeastDose {
  /** All the yeast on the sheet as fresh yeast, g and percent of the base. */
  readonly freshG: Estimate;
  readonly freshPercent: number | null;
  /** The same dose in each kind, g with its 80 % range. */
  readonly as: Readonly<
    Record<YeastKind, { readonly g: number; readonly lowG: number; readonly highG: number }>
  >;
  readonly kinds: readonly YeastKind[];
  /** What of it works, against as much new yeast: old jars count for what they are; with the doubt of that, relative. */
  readonly lively: Estimate;
}

/**
 * The dose of baker's yeast in the three kinds it is sold in; null where there is none. Wild starters are not yeast of a dose.
 *
 * 7 g of instant yeast is 21 g fresh (19-23) or 8.75 g active dry; on 500 g of flours that is 4.2 % fresh.
 */
export function yeastDose(
  formula: Pick<Formula, 'stages'>,
  book: IngredientBook,
  baseG: number,
): YeastDose | null {
  const gramsOf = new Map<string, number>();
  const vigourOf = new Map<string, Estimate>();
  for (const { ingredient, massG, dough } of insideFormula(formula, book)) {
    if (!dough || !(ingredient.id in FRESH_PER_G)) continue;
    gramsOf.set(ingredient.id, (gramsOf.get(ingredient.id) ?? 0) + massG);
    if (ingredient.vigour) vigourOf.set(ingredient.id, ingredient.vigour);
  }
  if (gramsOf.size === 0) return null;
  const worth = [...gramsOf].map(([kind, g]) => {
    const per = FRESH_PER_G[kind] ?? { value: 1, sd: 0 };
    return { kind, freshG: g * per.value, sdG: g * per.sd };
  });
  const freshG = worth.reduce((sum, each) => sum + each.freshG, 0);
  const as = Object.fromEntries(
    YEAST_KINDS.map((kind) => {
      const per = FRESH_PER_G[kind] ?? { value: 1, sd: 0 };
      // what is there in this kind already needs no conversion, so it brings no doubt
      const others = worth.filter((each) => each.kind !== kind);
      const otherG = others.reduce((sum, each) => sum + each.freshG, 0) / per.value;
      const otherSdG = Math.hypot(...others.map((each) => each.sdG)) / per.value;
      const g = (gramsOf.get(kind) ?? 0) + otherG;
      const doubt = Z80 * Math.hypot(otherSdG, (otherG * per.sd) / per.value);
      return [kind, { g, lowG: Math.max(0, g - doubt), highG: g + doubt }];
    }),
  ) as YeastDose['as'];
  return {
    freshG: { value: freshG, sd: Math.hypot(...worth.map((each) => each.sdG)) },
    freshPercent: baseG > 0 ? (100 * freshG) / baseG : null,
    as,
    kinds: YEAST_KINDS.filter((kind) => gramsOf.has(kind)),
    lively: livelyOf(worth, vigourOf),
  };
}

/** The share of a dose that works, weighed by what each kind is worth in it. */
function livelyOf(
  worth: readonly { readonly kind: string; readonly freshG: number }[],
  vigourOf: ReadonlyMap<string, Estimate>,
): Estimate {
  const whole = worth.reduce((sum, { freshG }) => sum + freshG, 0);
  const each = worth.map(({ kind, freshG }) => ({
    share: whole > 0 ? freshG / whole : 0,
    ...(vigourOf.get(kind) ?? { value: 1, sd: 0 }),
  }));
  const value = each.reduce((sum, part) => sum + part.share * part.value, 0);
  return { value, sd: Math.hypot(...each.map((part) => part.share * part.sd)) };
}
