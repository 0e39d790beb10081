'use client';
import { useCallback, useState } from 'react';
import {
  afterEvent,
  decide,
  decideAll,
  undoOf,
  type BakeAction,
  type BakeRecord,
  type BakeState,
  type Deed,
} from '@/core/bake';
import type { Problem } from '@/core/result';
import { useBook } from '../book/BookProvider';

export interface Deeds {
  /** Does a thing, or several by one press; the reason when it can't be done now: then nothing is. */
  readonly tap: (...actions: readonly BakeAction[]) => Problem | null;
  /** What was done here last and can be taken back; null: nothing, or it can't. */
  readonly last: BakeAction | null;
  readonly undo: () => void;
}

/** What was done here, and when by the bake's clock; by this device's, to tell one press from the next. */
interface DeedHere extends Deed {
  readonly atMs: number;
  readonly pressedMs: number;
}

/** One press may do two things: turned, and the next clock runs. */
const ONE_PRESS_MS = 60;

/**
 * What is done at a bench: decided first, and taken back by more of it.
 *
 * @param nowMs by the clock that dates it
 * @param put writes it down, in order
 */
export function useDeeds(
  sheet: BakeRecord['sheet'],
  state: BakeState,
  nowMs: () => number,
  put: (actions: readonly BakeAction[]) => void,
): Deeds {
  const book = useBook();
  const [deeds, setDeeds] = useState<readonly DeedHere[]>([]);
  const tap = useCallback(
    (...actions: readonly BakeAction[]) => {
      const pressedMs = performance.now();
      const atMs = nowMs();
      const decided = decideAll(sheet, state, actions, atMs, book);
      if (!decided.ok) return decided.problem;
      const made = decided.value.deeds.map((deed) => ({ ...deed, atMs, pressedMs }));
      put(made.map(({ action }) => action));
      setDeeds((was) =>
        pressedMs - (was[0]?.pressedMs ?? -Infinity) < ONE_PRESS_MS ? [...was, ...made] : made,
      );
      return null;
    },
    [book, nowMs, put, sheet, state],
  );
  const undo = useCallback(() => {
    setDeeds([]);
    const atMs = nowMs();
    const back = [...deeds].reverse().flatMap(({ before, action }) => undoOf(before, action, atMs));
    // one after the other, each on what the one before leaves
    const may: BakeAction[] = [];
    back.reduce((so, action) => {
      if (!decide(sheet, so, action, book).ok) return so;
      may.push(action);
      return afterEvent(so, { seq: so.lastSeq + 1, atMs, action });
    }, state);
    put(may);
  }, [book, deeds, nowMs, put, sheet, state]);
  const [first] = deeds;
  const last = first && undoOf(first.before, first.action, first.atMs).length > 0 ? first.action : null;
  return { tap, last, undo };
}
