import type { BatchSheet } from '../batch/batchSheet';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { ok, type Result } from '../result';
import type { BakeAction } from './bakeEvent';
import { afterEvent, type BakeState } from './bakeState';
import { decide } from './decide';

/** Something that is done, and the bake as it was before it. */
export interface Deed {
  readonly before: BakeState;
  readonly action: BakeAction;
}

/**
 * Several things by one press, each on what the one before leaves: all of them, or none.
 *
 * @param atMs when
 * @returns them with what was before each, and the bake after all; the first reason why one cannot be
 */
export function decideAll(sheet: BatchSheet, state: BakeState, actions: readonly BakeAction[], atMs: number, book: IngredientBook): Result<{ readonly deeds: readonly Deed[]; readonly after: BakeState }> {
  const deeds: Deed[] = [];
  let after = state;
  for (const action of actions) {
    const allowed = decide(sheet, after, action, book);
    if (!allowed.ok) return allowed;
    deeds.push({ before: after, action });
    after = afterEvent(after, { seq: after.lastSeq + 1, atMs, action });
  }
  return ok({ deeds, after });
} // prettier-ignore
