import type { Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import { isFlourBase } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Range } from '../numeric/range';

/** How a bread is kept: in the room wrapped or bare, in the fridge, frozen. */
export const KEPT = ['wrapped', 'bare', 'fridge', 'frozen'] as const;
export type Kept = (typeof KEPT)[number];

export interface Keeping {
  /** Hours until the crumb is firm enough to want refreshing. */
  readonly softH: Range;
  /** Hours for which toasting or warming through makes it good again. */
  readonly refreshedH: Range;
}

/**
 * Starch sets again (Avrami kinetics of retrogradation; quickest a little above freezing, not at all frozen), and gluten-free crumbs are mostly
 * starch. What slows it: psyllium and HPMC, fat, sugar, egg. A lean white bread wrapped in the room is soft for some 12 h.
 */
const SOFT_H = { wrapped: 12, bare: 5, fridge: 4, frozen: 24 * 30 } as const;
const REFRESHED_H = { wrapped: 54, bare: 30, fridge: 96, frozen: 24 * 60 } as const;
/** Of a per cent on the flours so much longer, up to twice as long in all. */
const SLOWS = { binder: 0.1, fat: 0.03, sugar: 0.03, egg: 0.015 } as const;
const MOST = 2;
/** From loaf to loaf, and who calls it firm: a rough range. */
const TIMES = 1.6;

/** How a formula's bread keeps; rough, for planning what to freeze. Nothing here says how long it is safe: local rules do. Null for what is meant to be crisp. */
export function keepingOf(
  formula: Pick<Formula, 'stages' | 'style'>,
  book: IngredientBook,
  kept: Kept,
): Keeping | null {
  if (formula.style === 'crackers') return null;
  let floursG = 0;
  const grams = { binder: 0, fat: 0, sugar: 0, egg: 0 };
  for (const { ingredient, massG, dough } of insideFormula(formula, book)) {
    if (!dough) continue;
    const { fat, sugars } = ingredient.per100g;
    if (isFlourBase(ingredient)) floursG += massG;
    else if (ingredient.roles.includes('egg')) grams.egg += massG;
    else if (ingredient.roles.includes('binder')) grams.binder += massG;
    if (ingredient.roles.includes('fat')) grams.fat += (massG * fat.value) / 100;
    if (ingredient.roles[0] === 'sweet') grams.sugar += (massG * sugars.value) / 100;
  }
  const slower = (Object.keys(SLOWS) as (keyof typeof SLOWS)[]).reduce(
    (sum, name) => sum + (floursG > 0 ? (100 * grams[name] * SLOWS[name]) / floursG : 0),
    1,
  );
  const times = Math.min(MOST, slower);
  const range = (hours: number): Range => ({
    value: hours * times,
    low: (hours * times) / TIMES,
    high: hours * times * TIMES,
  });
  return { softH: range(SOFT_H[kept]), refreshedH: range(REFRESHED_H[kept]) };
}

/** Each way of keeping; null for what is meant to be crisp. */
export function keepingsOf(
  formula: Pick<Formula, 'stages' | 'style'>,
  book: IngredientBook,
): Readonly<Record<Kept, Keeping>> | null {
  const all = KEPT.map((kept) => [kept, keepingOf(formula, book, kept)] as const);
  return all.every(([, keeping]) => keeping) ? (Object.fromEntries(all) as Record<Kept, Keeping>) : null;
}
