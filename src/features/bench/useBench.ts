'use client';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import {
  afterEvent,
  bakeState,
  decide,
  decideAll,
  runningTimers,
  undoOf,
  type BakeAction,
  type BakeRecord,
  type BakeState,
  type Deed,
} from '@/core/bake';
import type { Problem } from '@/core/result';
import { newUuid } from '@/ui/newUuid';
import { useKitchen } from '../kitchen/KitchenProvider';
import type { KitchenPlace } from '../kitchen/place';
import { useBook } from '../book/BookProvider';
import { ask } from '../asking/ask';
import { useNews } from '../news/useNews';
import { timerBoard } from '../timers/timerBoard';
import { arrivedAtMs } from '../offline/keptPage';
import { logOnDevice } from './logOnDevice';
import { Outbox, type OutboxState } from './outbox';
import { browserQueue } from '../queue/browserQueue';

const LOOK_EVERY_MS = 4000;

/** Asks for what is new in a bake's log. */
async function look(outbox: Outbox, kitchen: KitchenPlace, id: string): Promise<void> {
  const { after } = outbox;
  outbox.look(await ask(kitchen.api(`/bakes/${id}?after=${after}`)), after);
}

function makeOutbox(bake: BakeRecord, now: { nowMs: number; epoch: string }, kitchen: KitchenPlace): Outbox {
  const outbox: Outbox = new Outbox(
    {
      ask: () => void look(outbox, kitchen, bake.id),
      post: (taps, after) => ask(kitchen.api(`/bakes/${bake.id}/taps`), { taps, after }),
      queue: browserQueue(),
      log: logOnDevice(bake.id),
      lane: kitchen.lane(`taps:${bake.id}`),
      now: () => Date.now(),
      newId: newUuid,
      wait: (ms, then) => {
        const timer = setTimeout(then, ms);
        return () => clearTimeout(timer);
      },
    },
    { events: bake.events, ...now, arrivedAtMs: arrivedAtMs() },
  );
  return outbox;
}

export interface Bench {
  readonly state: BakeState;
  readonly outbox: OutboxState;
  /** Does a thing, or several by one press; the reason when it can't be done now: then nothing is. */
  readonly tap: (...actions: readonly BakeAction[]) => Problem | null;
  /** What was done here last and can be taken back; null: nothing, or it can't. */
  readonly last: BakeAction | null;
  readonly undo: () => void;
}

/** What was done here, and when. */
interface DeedHere extends Deed {
  readonly atMs: number;
}

/** One press may do two things: turned, and the next clock runs. */
const ONE_PRESS_MS = 60;

/** A running bake: the server's log with this device's unsent taps laid over it, so a press shows at once. */
export function useBench(bake: BakeRecord, now: { nowMs: number; epoch: string }): Bench {
  const book = useBook();
  const kitchen = useKitchen();
  const [outbox] = useState(() => makeOutbox(bake, now, kitchen));
  const box = useSyncExternalStore(
    outbox.subscribe,
    () => outbox.state,
    () => outbox.state,
  );

  useEffect(() => {
    void outbox.open();
    return () => outbox.dispose();
  }, [outbox]);
  useNews(
    (news) => news.of === 'bake' && news.id === bake.id,
    () => void look(outbox, kitchen, bake.id),
    LOOK_EVERY_MS,
  );

  const state = useMemo(() => {
    const stored = bakeState(bake.startedAtMs, box.events);
    return box.waiting.reduce((so, { action, madeAtMs }) => {
      const allowed = decide(bake.sheet, so, action, book);
      return allowed.ok ? afterEvent(so, { seq: so.lastSeq + 1, atMs: madeAtMs + box.offsetMs, action }) : so;
    }, stored);
  }, [bake, book, box]);

  // every page rings what is known here, network or not
  useEffect(() => {
    const timers = runningTimers(bake, state).map((timer) => ({ ...timer, kitchen: kitchen.address }));
    timerBoard.fromBench(bake.id, timers, box.offsetMs);
  }, [bake, box.offsetMs, kitchen, state]);
  useEffect(() => () => timerBoard.fromBench(bake.id, null, 0), [bake.id]);

  const [deeds, setDeeds] = useState<readonly DeedHere[]>([]);
  const tap = useCallback(
    (...actions: readonly BakeAction[]) => {
      const atMs = Date.now();
      const decided = decideAll(bake.sheet, state, actions, atMs + box.offsetMs, book);
      if (!decided.ok) return decided.problem;
      const made = decided.value.deeds.map((deed) => ({ ...deed, atMs }));
      for (const { action } of made) outbox.tap(action);
      setDeeds((was) => (atMs - (was[0]?.atMs ?? 0) < ONE_PRESS_MS ? [...was, ...made] : made));
      return null;
    },
    [bake.sheet, book, box.offsetMs, outbox, state],
  );
  const undo = useCallback(() => {
    setDeeds([]);
    const nowMs = Date.now() + box.offsetMs;
    const back = [...deeds].reverse().flatMap(({ before, action }) => undoOf(before, action, nowMs));
    // one after the other, each on what the one before leaves
    back.reduce((so, action) => {
      if (!decide(bake.sheet, so, action, book).ok) return so;
      outbox.tap(action);
      return afterEvent(so, { seq: so.lastSeq + 1, atMs: nowMs, action });
    }, state);
  }, [bake.sheet, book, box.offsetMs, deeds, outbox, state]);
  const [first] = deeds;
  const last = first && undoOf(first.before, first.action, first.atMs).length > 0 ? first.action : null;
  return { state, outbox: box, tap, last, undo };
}
