import type { Consistency } from '../consistency/consistency';
import { doughLines, type Formula } from '../formula/formula';
import { insideFormula, type Inside } from '../formula/insideFormula';
import type { Nutrition } from '../formula/nutrition';
import type { FormulaTotals } from '../formula/totals';
import type { YeastDose } from '../formula/yeast';
import type { Ingredient, Role } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';

/** What the models have computed of a sheet already. */
export interface Known {
  readonly totals: FormulaTotals;
  readonly consistency: Consistency | null;
  readonly nutrition: Nutrition;
  readonly yeast: YeastDose | null;
}

/** What the rules ask of a sheet with a flour base. */
export interface SheetFacts extends Known {
  readonly formula: Formula;
  readonly book: IngredientBook;
  readonly doughLines: Formula['stages'][number]['lines'];
  /** All that is in the dough, mixtures taken apart. */
  readonly inside: readonly Inside[];
  readonly hydrationAll: number;
  /** Lines an ingredient comes from, each once. */
  readonly linesOf: (...ingredientIds: string[]) => string[];
  readonly linesWhere: (is: (ingredient: Ingredient) => boolean) => string[];
  /** Of the base, %. */
  readonly percentOf: (...ingredientIds: string[]) => number;
  /** The same without what is only guessed to be in a bought mixture. */
  readonly surePercentOf: (...ingredientIds: string[]) => number;
  /** Whether something has that role: a starter as a whole, baking powder inside a blend as a part. */
  readonly has: (role: Role) => boolean;
}

export function sheetFacts(formula: Formula, book: IngredientBook, known: Known): SheetFacts {
  const lines = doughLines(formula);
  const inside = insideFormula(formula, book).filter(({ dough }) => dough);
  const linesWhere = (is: (ingredient: Ingredient) => boolean) => [
    ...new Set(inside.filter(({ ingredient }) => is(ingredient)).map(({ lineId }) => lineId)),
  ];
  const massOf = (id: string, sure = false) =>
    inside.reduce(
      (sum, { ingredient, massG, guessed }) => sum + (ingredient.id === id && !(sure && guessed) ? massG : 0),
      0,
    );
  return {
    ...known,
    formula,
    book,
    doughLines: lines,
    inside,
    hydrationAll: ((known.totals.hydrationAll ?? 0) * known.totals.baseG) / known.totals.floursG,
    linesWhere,
    linesOf: (...ids) => ids.flatMap((id) => linesWhere((ingredient) => ingredient.id === id)),
    percentOf: (...ids) => (100 * ids.reduce((sum, id) => sum + massOf(id), 0)) / known.totals.floursG,
    surePercentOf: (...ids) =>
      (100 * ids.reduce((sum, id) => sum + massOf(id, true), 0)) / known.totals.floursG,
    has: (role) =>
      inside.some(({ ingredient }) => ingredient.roles.includes(role)) ||
      lines.some((line) => book.get(line.ingredientId)?.roles.includes(role)),
  };
}
