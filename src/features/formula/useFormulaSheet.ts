'use client';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import {
  applyEdit,
  checkFormula,
  record,
  redo,
  settle,
  startHistory,
  takeBack,
  undo,
  type Formula,
  type History,
} from '@/core/formula';
import type { IngredientBook } from '@/core/ingredients';
import { newUuid } from '@/ui/newUuid';
import { useKitchen } from '../kitchen/KitchenProvider';
import type { KitchenPlace } from '../kitchen/place';
import { ask } from '../asking/ask';
import { useBook } from '../book/BookProvider';
import { browserQueue } from '../queue/browserQueue';
import type { Queue } from '../queue/queue';
import { findDraft, rememberDraft, type DraftPlace } from '../queue/draft';
import { Saver, type SaveState, type SaveWish } from '../queue/saver';
import type { Edit } from '../sheet/edit';
import { readSheetDraft } from '../sheet/sheetDraft';
import { SheetStore } from '../sheet/sheetStore';
import { words } from '@/wording/screens/formula/useFormulaSheet';

export interface LoadedFormula {
  readonly id: string;
  readonly revision: number;
  readonly savedAtMs: number;
  readonly archivedAtMs: number | null;
  readonly formula: Formula;
}

export interface FormulaSheet {
  readonly store: SheetStore;
  readonly edit: Edit;
  readonly settle: () => void;
  readonly takeBack: (key: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly save: SaveState;
  readonly broughtBack: boolean;
  readonly saveOnTop: () => void;
  readonly takeTheirs: () => Promise<void>;
  /** Waits a moment for the saving to come to an end; tells whether it did. */
  readonly saved: () => Promise<boolean>;
}

const same = (a: Formula, b: Formula): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What a browser lets a page send that is going away, with room for headers. */
const MOST_LEAVING_BYTES = 60_000;

const bodyOf = ({ requestId, seen, value }: SaveWish<unknown>) => ({ requestId, seen, formula: value });

const placeOf = (formulaId: string, queue: Queue, kitchen: KitchenPlace): DraftPlace => ({
  queue,
  lane: kitchen.lane(`sheet:${formulaId}`),
  what: (formula) => words.changesTo((formula as Formula).name),
  body: bodyOf,
});

function makeSaver(
  loaded: LoadedFormula,
  book: () => IngredientBook,
  place: DraftPlace,
  kitchen: KitchenPlace,
): Saver<Formula> {
  return new Saver<Formula>(
    {
      post: (wish, leaving) => {
        const body = bodyOf(wish);
        // a larger one would be refused by the browser: it stays in the queue, and the next page sends it
        const small = leaving && new Blob([JSON.stringify(body)]).size < MOST_LEAVING_BYTES;
        return ask(kitchen.api(`/formulas/${loaded.id}/revisions`), body, { keepalive: small });
      },
      check: (formula) => checkFormula(formula, book()),
      newId: newUuid,
      wait: (ms, then) => {
        const timer = setTimeout(then, ms);
        return () => clearTimeout(timer);
      },
      remember: (wish) => rememberDraft(place, wish),
    },
    { value: loaded.formula, revision: loaded.revision, savedAtMs: loaded.savedAtMs },
  );
}

/** What a crash left behind comes back, unless the server has it already; tells whether something did. */
function useDraftBack(store: SheetStore, saver: Saver<Formula>, place: DraftPlace): boolean {
  const [broughtBack, setBroughtBack] = useState(false);
  useEffect(() => {
    let gone = false;
    // this page sends it itself from now on
    const letGo = place.queue.hold(place.lane);
    void findDraft(place, readSheetDraft).then((draft) => {
      if (gone || !draft) return;
      // the server had taken it and only its answer was lost
      if (same(draft.value, store.state.formula)) return rememberDraft(place, null);
      // typed upon another revision than the one shown: the save will meet the conflict and say so
      if (draft.seen !== saver.revision)
        saver.adopt(store.state.formula, { revision: draft.seen, savedAtMs: 0 });
      store.put(record(store.state.history, draft.value, null));
      // under the id it was written down with: it may be on its way, or there, already
      saver.change(draft.value, draft.requestId);
      setBroughtBack(true);
    });
    return () => {
      gone = true;
      letGo();
    };
  }, [place, saver, store]);
  return broughtBack;
}

/** A sheet shown again out of the browser's memory, or looked at again after another tab worked on it, catches up. */
function useCatchUp(formulaId: string, saver: Saver<Formula>, adopt: (head: LoadedFormula) => void): void {
  const kitchen = useKitchen();
  useEffect(() => {
    const catchUp = async (): Promise<void> => {
      if (!saver.settled) return;
      const head = await ask<LoadedFormula>(kitchen.api(`/formulas/${formulaId}`));
      if (head.kind === 'ok' && saver.settled && head.value.revision > saver.revision) adopt(head.value);
    };
    const leave = () => void saver.flush(true);
    const again = () => void saver.flush();
    const look = () => void catchUp();
    look();
    window.addEventListener('focus', look);
    window.addEventListener('online', again);
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('focus', look);
      window.removeEventListener('online', again);
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [adopt, formulaId, kitchen, saver]);
}

/** One formula on the table: its present state, undo, and the saver that keeps every settled state as a revision. */
export function useFormulaSheet(loaded: LoadedFormula): FormulaSheet {
  const book = useBook();
  const [store] = useState(() => new SheetStore(loaded.formula, book));
  const kitchen = useKitchen();
  const [place] = useState(() => placeOf(loaded.id, browserQueue(), kitchen));
  const [saver] = useState(() => makeSaver(loaded, () => store.book, place, kitchen));
  // an ingredient was added or a bag opened: the same sheet, computed anew
  useEffect(() => store.useBook(book), [book, store]);
  const save = useSyncExternalStore(
    saver.subscribe,
    () => saver.state,
    () => saver.state,
  );

  const put = useCallback(
    (next: History) => {
      store.put(next);
      saver.change(next.present);
    },
    [saver, store],
  );

  const adopt = useCallback(
    (head: LoadedFormula) => {
      store.put(startHistory(head.formula));
      saver.adopt(head.formula, head);
    },
    [saver, store],
  );

  const takeTheirs = useCallback(async () => {
    const head = await ask<LoadedFormula>(kitchen.api(`/formulas/${loaded.id}`));
    if (head.kind === 'ok') adopt(head.value);
  }, [adopt, kitchen, loaded.id]);

  const broughtBack = useDraftBack(store, saver, place);
  useCatchUp(loaded.id, saver, adopt);

  const edit = useCallback<Edit>(
    (change, key) => {
      const result = applyEdit(store.state.formula, change, store.book);
      if (!result.ok) return result.problem;
      put(record(store.state.history, result.value, key ?? null));
      return null;
    },
    [put, store],
  );

  // on its own, not in the object below: every row holds it, and must not hear of each change of the save state
  const leave = useCallback(() => store.put(settle(store.state.history)), [store]);

  const withdraw = useCallback((key: string) => put(takeBack(store.state.history, key)), [put, store]);

  return useMemo(
    () => ({
      store,
      edit,
      settle: leave,
      takeBack: withdraw,
      undo: () => put(undo(store.state.history)),
      redo: () => put(redo(store.state.history)),
      save,
      broughtBack,
      saveOnTop: () => saver.saveOnTop(),
      takeTheirs,
      saved: () => saver.drained(4000),
    }),
    [broughtBack, edit, leave, put, save, saver, store, takeTheirs, withdraw],
  );
}
