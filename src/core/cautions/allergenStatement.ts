import { allLines, type Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import type { Allergen, GlutenRisk, Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';

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
