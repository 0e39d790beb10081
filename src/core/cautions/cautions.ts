import { isOwnId } from '../ingredients/ownId';
import { comesOf } from '../ingredients/sourcePlants';
import type { Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import { allSteps, asWay } from '../formula/ways';
import { GLUTEN_GRAINS } from '../ingredients/glutenGrains';
import type { Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { MethodStep } from '../method/step';
import { everythingIn } from './allergenStatement';

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
  /** A bath that burns who stands at it; in a dough it has no place at all. */
  | { readonly code: 'lye' }
  | { readonly code: 'lyeInDough' }
  | { readonly code: 'hotOil' }
  | { readonly code: 'spitting' }
  | { readonly code: 'boilingSugar' }
  | { readonly code: 'openFlame' }
  | { readonly code: 'honey' }
  | { readonly code: 'favism' }
  | { readonly code: 'rawFlour' }
  | { readonly code: 'glutenInName' }
);

/** Bread of these kinds of gum swells; from here on the advice to drink is worth saying, % of the base. */
const SWELLING_PERCENT = 3;
/** Doughs with egg or dairy above this temperature for longer than this: where food-safety guidance draws its line (2-4 h above 8 °C). */
const WARM_FROM_C = 15;
const WARM_HOURS = 2;
const COLD_C = 8;
/** How near a fat may come to its smoke point, °C. */
const SMOKE_MARGIN_C = 20;

const LYE = 'lye';
/** Above this it takes a flame, °C. */
const FLAME_FROM_C = 350;

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

/** What hot oil, boiling syrup and flames do to those who stand at them. */
function ofHeat(formula: Formula, ingredients: readonly Ingredient[]): Caution[] {
  const has = (kind: MethodStep['kind']) => allSteps(formula).some((step) => step.kind === kind);
  const ids = (pick: (ingredient: Ingredient) => boolean) => ingredients.filter(pick).map(({ id }) => id);
  const cautions: Caution[] = [];
  // wet fillings, fruit and cheese burst in oil
  const spits = ids(({ roles, per100g }) => roles[0] === 'inclusion' && per100g.water.value > 25);
  if (has('fry')) cautions.push({ code: 'hotOil', ingredientIds: [] });
  if (has('fry') && spits.length > 0) cautions.push({ code: 'spitting', ingredientIds: spits });
  const sweet = ids(({ roles }) => roles[0] === 'sweet');
  if (has('boil') && sweet.length > 0) cautions.push({ code: 'boilingSugar', ingredientIds: sweet });
  // no electric oven of a kitchen goes there: wood or gas under a dome
  if (allSteps(formula).some(({ kind, tempC }) => kind === 'bake' && (tempC ?? 0) > FLAME_FROM_C))
    cautions.push({ code: 'openFlame', ingredientIds: [] });
  return cautions;
}

/** Cautions that follow from what is on the sheet and what the method does with it, gravest first. */
export function cautionsOf(formula: Formula, book: IngredientBook, floursG: number): Caution[] {
  const ingredients = everythingIn(formula, book);
  const cautions: Caution[] = [];
  const ids = (pick: (ingredient: Ingredient) => boolean) => ingredients.filter(pick).map(({ id }) => id);
  const lye = insideFormula(formula, book).filter(({ ingredient }) => ingredient.id === LYE);
  if (lye.some(({ purpose }) => purpose !== 'bath'))
    cautions.push({ code: 'lyeInDough', ingredientIds: [LYE] });
  if (lye.length > 0) cautions.push({ code: 'lye', ingredientIds: [LYE] });
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
  const percent = floursG > 0 ? (100 * psylliumG) / floursG : 0;
  if (percent >= SWELLING_PERCENT) cautions.push({ code: 'psylliumWater', ingredientIds: psyllium, percent });
  say(psyllium, (ingredientIds) => ({ code: 'psylliumDust', ingredientIds }));

  const perishable = ids(
    ({ allergens, per100g }) =>
      (allergens.includes('egg') || allergens.includes('milk')) && per100g.water.value > 20,
  );
  const warm = warmHours(asWay(formula).steps);
  if (perishable.length > 0 && warm.hours > WARM_HOURS && (warm.tempC ?? WARM_FROM_C) >= WARM_FROM_C) {
    cautions.push({ code: 'warmHold', ingredientIds: perishable, ...warm });
  }
  cautions.push(...ofHeat(formula, ingredients));
  // In the crumb a fat never passes the boiling point of water, in a fryer neither: only what lies bare is meant.
  const bare = new Set(
    insideFormula(formula, book).flatMap(({ ingredient, purpose }) =>
      purpose === 'dough' || purpose === 'with' ? [] : [ingredient.id],
    ),
  );
  const hottest = (kind: MethodStep['kind']): number =>
    Math.max(
      -Infinity,
      ...allSteps(formula).flatMap((step) => (step.kind === kind ? (step.tempC ?? []) : [])),
    );
  for (const { id, smokePointC, roles } of ingredients) {
    if (smokePointC === null || !roles.includes('fat')) continue;
    const tempC = bare.has(id) ? Math.max(hottest('fry'), hottest('griddle')) : -Infinity;
    if (tempC > smokePointC - SMOKE_MARGIN_C) {
      cautions.push({ code: 'smokePoint', ingredientIds: [id], tempC, smokePointC });
    }
  }
  if (floursG > 0) cautions.push({ code: 'rawFlour', ingredientIds: [] });
  return cautions;
}
