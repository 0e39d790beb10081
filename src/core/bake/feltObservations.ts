import { consistencyOf } from '../consistency/consistency';
import type { FeltObservation } from '../consistency/learnAbsorption';
import type { Formula } from '../formula/formula';
import { asOneBread } from '../formula/ways';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { withLots } from '../ingredients/lots';
import { actualStages } from './actualSheet';
import { stateOf, type BakeRecord } from './bakeRecord';
import { endOfMixing } from './endOfMixing';
import { lotsOf } from './lotsOf';
import { sheetNow } from './sheetNow';

/**
 * What a bake's feels say, for learnAbsorption: the dough as it was weighed, with what had gone in extra by then, after
 * the minutes that had really passed since mixing. A feel while it is still mixed counts from the end of mixing.
 *
 * @param formula the revision that was baked
 * @returns none without feels, or where a later step was felt and the end of mixing was not ticked
 */
export function feltObservations(
  bake: BakeRecord,
  formula: Formula,
  book: IngredientBook,
): FeltObservation[] {
  const state = stateOf(bake);
  const sheet = sheetNow(bake.sheet, state);
  const lots = lotsOf(sheet, state);
  const then = withLots(book, lots);
  const { lastMix, mixedAtMs } = endOfMixing(sheet, state);
  return state.feelings.flatMap(({ stepId, band, atMs }) => {
    const at = sheet.steps.findIndex(({ id }) => id === stepId);
    if (mixedAtMs === null && at > lastMix) return [];
    const by = { ...state, additions: state.additions.filter((addition) => addition.atMs <= atMs) };
    const made: Formula = { ...asOneBread(formula), stages: actualStages(sheet, by), steps: sheet.steps };
    const consistency = consistencyOf(made, then);
    if (!consistency) return [];
    const standMin = mixedAtMs === null ? 0 : Math.max(0, (atMs - mixedAtMs) / 60_000);
    return [{ consistency, standMin, band, lots }];
  });
}
