import { isOwnId } from '../ingredients/ownId';
import { comesOf } from '../ingredients/sourcePlants';
import { allLines, type Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import { GLUTEN_GRAINS } from '../ingredients/glutenGrains';
import type { Allergen, GlutenRisk, Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { MethodStep } from '../method/step';

/** Where it can hurt somebody. Worded at the interface; nothing here is ever ticked away. */
export type Caution = { readonly ingredientIds: readonly string[] } & (
  | { readonly code: 'wheatStarch' }
  | { readonly code: 'oats' }
  | { readonly code: 'certified' }
  | { readonly code: 'crossContact' }
  | { readonly code: 'lupinPeanut' }
  | { readonly code: 'egg' }
  | { readonly code: 'psylliumWater'; readonly percent: number }
  | { readonly code: 'psylliumDust' }
  | { readonly code: 'warmHold'; readonly hours: number; readonly tempC: number | null }
  | { readonly code: 'smokePoint'; readonly tempC: number; readonly smokePointC: number }
  | { readonly code: 'hotOil' }
  | { readonly code: 'honey' }
  | { readonly code: 'favism' }
  | { readonly code: 'rawFlour' }
  | { readonly code: 'glutenInName' }
);

/** What the sheet holds of legal allergens and of what else people avoid, and where it comes from. */
export interface AllergenStatement {
  readonly allergens: readonly { readonly allergen: Allergen; readonly ingredientIds: readonly string[] }[];
  /** Not allergens by law, but avoided: maize, psyllium dust. */
  readonly avoided: readonly { readonly allergen: Allergen; readonly ingredientIds: readonly string[] }[];
  /** By gluten risk, worst first; ingredients that are free of it by nature are not listed. */
  readonly gluten: readonly { readonly risk: GlutenRisk; readonly ingredientIds: readonly string[] }[];
  /** Ingredients by falling weight, mixtures taken apart: "made with". */
  readonly madeWith: readonly { readonly ingredientId: string; readonly massG: number }[];
  /** Lines the book does not know: of these nothing can be said. */
  readonly unknownIds: readonly string[];
}

const NOT_LEGAL: ReadonlySet<Allergen> = new Set(['maize', 'psylliumDust']);
const RISKS: readonly GlutenRisk[] = ['processedWheatStarch', 'onlyIfCertified', 'crossContactCommon'];

/** Every ingredient and every mixture in a formula, toppings too: a blend counts as itself and as its parts. */
export function everythingIn(formula: Pick<Formula, 'stages'>, book: IngredientBook): Ingredient[] {
  const wholes = allLines(formula).flatMap((line) => book.get(line.ingredientId) ?? []);
  const parts = insideFormula(formula, book).map(({ ingredient }) => ingredient);
  return [...new Set([...wholes, ...parts])];
}

/** The statement for the baker to check against the local rule. */
export function allergenStatement(formula: Pick<Formula, 'stages'>, book: IngredientBook): AllergenStatement {
  const ingredients = everythingIn(formula, book);
  const madeWith = new Map<string, number>();
  for (const { ingredient, massG } of insideFormula(formula, book)) {
    madeWith.set(ingredient.id, (madeWith.get(ingredient.id) ?? 0) + massG);
  }
  const byAllergen = new Map<Allergen, string[]>();
  for (const { id, allergens } of ingredients) {
    for (const allergen of allergens) byAllergen.set(allergen, [...(byAllergen.get(allergen) ?? []), id]);
  }
  const all = [...byAllergen].map(([allergen, ingredientIds]) => ({ allergen, ingredientIds }));
  return {
    allergens: all.filter(({ allergen }) => !NOT_LEGAL.has(allergen)),
    avoided: all.filter(({ allergen }) => NOT_LEGAL.has(allergen)),
    gluten: RISKS.map((risk) => ({
      risk,
      ingredientIds: ingredients.filter(({ gluten }) => gluten === risk).map(({ id }) => id),
    })).filter(({ ingredientIds }) => ingredientIds.length > 0),
    madeWith: [...madeWith]
      .map(([ingredientId, massG]) => ({ ingredientId, massG }))
      .sort((a, b) => b.massG - a.massG),
    unknownIds: [...new Set(allLines(formula).map((line) => line.ingredientId))].filter(
      (id) => !book.has(id),
    ),
  };
}

/** Bread of these kinds of gum swells; from here on the advice to drink is worth saying, % of the base. */
const SWELLING_PERCENT = 3;
/** Doughs with egg or dairy above this temperature for longer than this: where food-safety guidance draws its line (2-4 h above 8 °C). */
const WARM_FROM_C = 15;
const WARM_HOURS = 2;
const COLD_C = 8;
/** How near a fat may come to its smoke point, °C. */
const SMOKE_MARGIN_C = 20;

const RISING: ReadonlySet<MethodStep['kind']> = new Set([
  'rest',
  'bulk',
  'proof',
  'bloom',
  'mix',
  'shape',
  'divide',
]);

function warmHours(steps: readonly MethodStep[]): { hours: number; tempC: number | null } {
  let seconds = 0;
  let tempC: number | null = null;
  for (const step of steps) {
    if (!RISING.has(step.kind) || (step.tempC !== null && step.tempC < COLD_C)) continue;
    seconds += step.maxS ?? step.minS ?? 0;
    if (step.tempC !== null) tempC = Math.max(tempC ?? step.tempC, step.tempC);
  }
  return { hours: seconds / 3600, tempC };
}

const GLUTEN_NAMES = new RegExp(`\\b(?:${GLUTEN_GRAINS.join('|')})\\b`, 'i');

/** Cautions that follow from what is on the sheet and what the method does with it, gravest first. */
export function cautionsOf(formula: Formula, book: IngredientBook, baseG: number): Caution[] {
  const ingredients = everythingIn(formula, book);
  const cautions: Caution[] = [];
  const ids = (pick: (ingredient: Ingredient) => boolean) => ingredients.filter(pick).map(({ id }) => id);
  const say = (ingredientIds: string[], caution: (ids: string[]) => Caution) => {
    if (ingredientIds.length > 0) cautions.push(caution(ingredientIds));
  };
  say(
    ids(({ gluten }) => gluten === 'processedWheatStarch'),
    (ingredientIds) => ({ code: 'wheatStarch', ingredientIds }),
  );
  // an ingredient of the baker's own that carries such a name and says it is free of gluten
  say(
    ids(
      ({ id, name, gluten }) => isOwnId(id) && gluten !== 'processedWheatStarch' && GLUTEN_NAMES.test(name),
    ),
    (ingredientIds) => ({ code: 'glutenInName', ingredientIds }),
  );
  // an oat is an oat whatever was stated of its gluten
  const oats = ids((ingredient) => comesOf('oats', ingredient));
  say(oats, (ingredientIds) => ({ code: 'oats', ingredientIds }));
  say(
    ids(({ id, gluten }) => gluten === 'onlyIfCertified' && !oats.includes(id)),
    (ingredientIds) => ({ code: 'certified', ingredientIds }),
  );
  say(
    ids(({ gluten }) => gluten === 'crossContactCommon'),
    (ingredientIds) => ({ code: 'crossContact', ingredientIds }),
  );
  say(
    ids(({ allergens }) => allergens.includes('lupin')),
    (ingredientIds) => ({ code: 'lupinPeanut', ingredientIds }),
  );
  say(
    ids(({ allergens }) => allergens.includes('egg')),
    (ingredientIds) => ({ code: 'egg', ingredientIds }),
  );
  say(
    ids(({ id }) => id === 'faba-flour'),
    (ingredientIds) => ({ code: 'favism', ingredientIds }),
  );
  say(
    ids(({ id }) => id === 'honey'),
    (ingredientIds) => ({ code: 'honey', ingredientIds }),
  );

  const psyllium = ids(({ allergens }) => allergens.includes('psylliumDust'));
  // of what a jar holds only the psyllium counts, not the jar
  const psylliumG = insideFormula(formula, book)
    .filter(({ ingredient, dough }) => dough && ingredient.allergens.includes('psylliumDust'))
    .reduce((sum, { massG }) => sum + massG, 0);
  const percent = baseG > 0 ? (100 * psylliumG) / baseG : 0;
  if (percent >= SWELLING_PERCENT) cautions.push({ code: 'psylliumWater', ingredientIds: psyllium, percent });
  say(psyllium, (ingredientIds) => ({ code: 'psylliumDust', ingredientIds }));

  const perishable = ids(
    ({ allergens, per100g }) =>
      (allergens.includes('egg') || allergens.includes('milk')) && per100g.water.value > 20,
  );
  const warm = warmHours(formula.steps);
  if (perishable.length > 0 && warm.hours > WARM_HOURS && (warm.tempC ?? WARM_FROM_C) >= WARM_FROM_C) {
    cautions.push({ code: 'warmHold', ingredientIds: perishable, ...warm });
  }
  const frying = formula.steps.filter((step) => step.kind === 'fry');
  if (frying.length > 0) cautions.push({ code: 'hotOil', ingredientIds: [] });
  // In the crumb a fat never passes the boiling point of water, in a fryer neither: only what lies bare is meant.
  const bare = new Set(
    insideFormula(formula, book).flatMap(({ ingredient, dough }) => (dough ? [] : [ingredient.id])),
  );
  const hottest = (kind: MethodStep['kind']): number =>
    Math.max(-Infinity, ...formula.steps.flatMap((step) => (step.kind === kind ? (step.tempC ?? []) : [])));
  for (const { id, smokePointC, roles } of ingredients) {
    if (smokePointC === null || !roles.includes('fat')) continue;
    const tempC = bare.has(id) ? Math.max(hottest('fry'), hottest('griddle')) : -Infinity;
    if (tempC > smokePointC - SMOKE_MARGIN_C) {
      cautions.push({ code: 'smokePoint', ingredientIds: [id], tempC, smokePointC });
    }
  }
  if (baseG > 0) cautions.push({ code: 'rawFlour', ingredientIds: [] });
  return cautions;
}
