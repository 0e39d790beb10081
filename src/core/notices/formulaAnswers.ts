import { cautionsOf, type Caution } from '../cautions/cautions';
import type { Formula } from '../formula/formula';
import { nutritionOf, type Nutrition } from '../formula/nutrition';
import { yeastDose, type YeastDose } from '../formula/yeast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { doughAnswers, type DoughAnswers } from './doughAnswers';
import type { Notice } from './notice';
import { noticesOf } from './notices';

/** Everything a sheet answers while it is being typed. Each model is run once and handed on to those that build on it. */
export interface FormulaAnswers extends DoughAnswers {
  readonly nutrition: Nutrition;
  readonly yeast: YeastDose | null;
  readonly notices: readonly Notice[];
  readonly cautions: readonly Caution[];
}

/** Never refuses: what can't be said of a formula is null or an empty list. */
export function formulaAnswers(
  formula: Formula,
  book: IngredientBook,
  dough: DoughAnswers = doughAnswers(formula, book),
): FormulaAnswers {
  const { totals, consistency } = dough;
  const nutrition = nutritionOf(formula, book, totals.baseG);
  const yeast = yeastDose(formula, book, totals.baseG);
  return {
    totals,
    consistency,
    nutrition,
    yeast,
    // what is usual is usual on the flours, whatever the baker counts as 100 %
    notices: noticesOf(formula, book, {
      totals,
      consistency,
      nutrition,
      yeast: yeastDose(formula, book, totals.floursG),
    }),
    cautions: cautionsOf(formula, book, totals.floursG),
  };
}
