import type { BatchSheet } from '../batch/batchSheet';
import { formulaTotals, type FormulaTotals } from '../formula/totals';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { BakeState } from './bakeState';

/**
 * What the dough really was: actual grams where something was weighed, planned ones elsewhere, plus everything added
 * by the spoon. So a handful of flour thrown in "because it was wet" shows up in the hydration of that day.
 */
export function actualTotals(sheet: BatchSheet, state: BakeState, book: IngredientBook): FormulaTotals {
  const stages = sheet.stages.map((stage) => ({
    ...stage,
    lines: stage.lines.map((line) => ({ ...line, massG: state.weighed.get(line.id)?.massG ?? line.massG })),
  }));
  const additions = state.additions.map((addition, index) => ({ id: `added-${index}`, ...addition }));
  return formulaTotals(
    { percentBase: sheet.percentBase, stages: [...stages, { id: 'added', kind: 'late', lines: additions }] },
    book,
  );
}
