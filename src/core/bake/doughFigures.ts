import type { BatchSheet } from '../batch/batchSheet';
import { consistencyOf, type Consistency } from '../consistency/consistency';
import type { Band } from '../consistency/parameters';
import { formulaTotals } from '../formula/totals';
import { yeastDose } from '../formula/yeast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { actualStages } from './actualSheet';
import type { BakeState } from './bakeState';

/** What is said of a dough in a line: null where it has no flour, or none of it. */
export interface DoughFigures {
  readonly band: Band | null;
  readonly hydration: number | null;
  readonly saltPercent: number | null;
  /** As fresh yeast, % of the flours. */
  readonly yeastPercent: number | null;
}

export type DoughSheet = Pick<
  BatchSheet,
  'stages' | 'steps' | 'percentBase' | 'pieces' | 'usableDoughG' | 'activities' | 'mixes'
>;

/** The dough of a bake as it will be if all that is not in yet goes in as it is meant. */
export function doughFigures(
  sheet: DoughSheet,
  state: BakeState,
  book: IngredientBook,
): DoughFigures & { readonly consistency: Consistency | null } {
  const formula = { stages: actualStages(sheet, state), steps: sheet.steps, percentBase: sheet.percentBase };
  const totals = formulaTotals(formula, book);
  const consistency = consistencyOf(formula, book, totals);
  return {
    consistency,
    band: consistency?.rested.band ?? null,
    hydration: totals.hydrationAll,
    saltPercent: totals.saltPercent,
    yeastPercent: yeastDose(formula, book, totals.floursG)?.freshPercent ?? null,
  };
}

export const withoutModel = ({ band, hydration, saltPercent, yeastPercent }: DoughFigures): DoughFigures => ({
  band,
  hydration,
  saltPercent,
  yeastPercent,
});
