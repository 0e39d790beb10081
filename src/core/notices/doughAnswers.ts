import { consistencyOf, type Consistency } from '../consistency/consistency';
import type { Formula } from '../formula/formula';
import { formulaTotals, type FormulaTotals } from '../formula/totals';
import type { IngredientBook } from '../ingredients/ingredientBook';

/** What follows every key: how much of everything, and what dough it is. */
export interface DoughAnswers {
  readonly totals: FormulaTotals;
  readonly consistency: Consistency | null;
}

/** Never refuses: what can't be said of a formula is null. */
export function doughAnswers(formula: Formula, book: IngredientBook): DoughAnswers {
  const totals = formulaTotals(formula, book);
  return { totals, consistency: consistencyOf(formula, book, totals) };
}
