import type { Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Notice } from './notice';
import { RULES } from './rules';
import { sheetFacts, type Known } from './sheetFacts';

/** What deserves saying about a formula, most important first; nothing for an empty sheet. */
export function noticesOf(formula: Formula, book: IngredientBook, known: Known): readonly Notice[] {
  if (known.totals.floursG <= 0) return [];
  const facts = sheetFacts(formula, book, known);
  return RULES.flatMap((rule) => rule(facts)).sort((a, b) => b.rank - a.rank);
}
