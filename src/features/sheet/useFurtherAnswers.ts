'use client';
import { formulaAnswers, type FormulaAnswers } from '@/core/notices';
import { useSheetActions, useSheetState } from './SheetContext';

/** The last answer of each sheet: several parts of a page ask for it between two keys. */
const last = new WeakMap<object, FormulaAnswers>();

/** What of a sheet is looked up rather than watched: what to check, what is in it, its yeast. Its code follows after the sheet's own. */
export function useFurtherAnswers(): FormulaAnswers {
  const { store } = useSheetActions();
  const formula = useSheetState((state) => state.formula);
  const answers = useSheetState((state) => state.answers);
  const known = last.get(answers);
  if (known) return known;
  const made = formulaAnswers(formula, store.book, answers);
  last.set(answers, made);
  return made;
}
