import { isAskedFor } from '../batch/askedFor';
import type { BatchSheet } from '../batch/batchSheet';
import type { Formula } from '../formula/formula';
import { formulaTotals, type FormulaTotals } from '../formula/totals';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { DUSTING_SHARE } from '../formula/parts';
import { targetG, type BakeState } from './bakeState';

/**
 * What the dough really was: actual grams where something was weighed, planned ones elsewhere, plus everything added
 * by the spoon. So a handful of flour thrown in "because it was wet" shows up in the hydration of that day.
 */
export const actualTotals = (sheet: BatchSheet, state: BakeState, book: IngredientBook): FormulaTotals =>
  formulaTotals({ percentBase: sheet.percentBase, stages: actualStages(sheet, state) }, book);

/** What of an addition is in the dough, g: all of it, and of what was strewn on the board what dusting usually leaves in it. */
export const takenUpG = ({
  massG,
  bench,
}: Pick<BakeState['additions'][number], 'massG' | 'bench'>): number =>
  bench ? massG * DUSTING_SHARE : massG;

/** The same as stages of a formula. */
export function actualStages(sheet: Pick<BatchSheet, 'stages'>, state: BakeState): Formula['stages'] {
  const line = (id: string, ingredientId: string, massG: number) => ({ id, ingredientId, massG, note: '' });
  return [
    ...sheet.stages.map(({ id, kind, name, lines }) => ({
      id,
      kind,
      name,
      // what was held back, or is for the day it is taken out, is in it only if it was weighed in
      lines: lines
        .filter((each) => state.weighed.has(each.id) || (isAskedFor(each) && !state.leftOut.has(each.id)))
        .map((each) =>
          line(each.id, each.ingredientId, state.weighed.get(each.id)?.massG ?? targetG(each, state)),
        ),
    })),
    {
      id: 'added',
      kind: 'late',
      name: '',
      lines: state.additions.map((addition, index) =>
        line(`added-${index}`, addition.ingredientId, takenUpG(addition)),
      ),
    },
  ];
}
