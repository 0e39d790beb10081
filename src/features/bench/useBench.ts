'use client';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import {
  afterEvent,
  bakeState,
  decide,
  runningTimers,
  type BakeAction,
  type BakeRecord,
  type BakeState,
} from '@/core/bake';
import { newUuid } from '@/ui/newUuid';
import { useKitchen, useMay } from '../kitchen/KitchenProvider';
import type { KitchenPlace } from '../kitchen/place';
import { useBook } from '../book/BookProvider';
import { ask } from '../asking/ask';
import { useNews } from '../news/useNews';
import { timerBoard } from '../timers/timerBoard';
import { arrivedAtMs } from '../offline/keptPage';
import { logOnDevice } from './logOnDevice';
import { Outbox, type OutboxState } from './outbox';
import { browserQueue } from '../queue/browserQueue';
import { useDeeds, type Deeds } from './useDeeds';
import { whoIsAt } from './whoStore';

const LOOK_EVERY_MS = 4000;

/** Asks for what is new in a bake's log. */
async function look(outbox: Outbox, kitchen: KitchenPlace, id: string): Promise<void> {
  const { after } = outbox;
  outbox.look(await ask(kitchen.api(`/bakes/${id}?after=${after}`)), after);
}

function makeOutbox(
  bake: BakeRecord,
  now: { nowMs: number; epoch: string },
  kitchen: KitchenPlace,
  mayPress: boolean,
): Outbox {
  const outbox: Outbox = new Outbox(
    {
      ask: () => void look(outbox, kitchen, bake.id),
      post: (taps, after) => ask(kitchen.api(`/bakes/${bake.id}/taps`), { taps, after }),
      who: () => whoIsAt(kitchen.address),
      mayPress,
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

export interface Bench extends Deeds {
  readonly state: BakeState;
  readonly outbox: OutboxState;
}

/** A running bake: the server's log with this device's unsent taps laid over it, so a press shows at once. */
export function useBench(bake: BakeRecord, now: { nowMs: number; epoch: string }): Bench {
  const book = useBook();
  const kitchen = useKitchen();
  const mayPress = useMay() !== 'look';
  const [outbox] = useState(() => makeOutbox(bake, now, kitchen, mayPress));
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
    return box.waiting.reduce((so, { madeAtMs, action, by }) => {
      const allowed = decide(bake.sheet, so, action, book);
      return allowed.ok
        ? afterEvent(so, {
            seq: so.lastSeq + 1,
            atMs: madeAtMs + box.offsetMs,
            action,
            ...(by !== undefined && { by }),
          })
        : so;
    }, stored);
  }, [bake, book, box]);

  // every page rings what is known here, network or not
  useEffect(() => {
    const timers = runningTimers(bake, state).map((timer) => ({ ...timer, kitchen: kitchen.address }));
    timerBoard.fromBench(bake.id, timers, box.offsetMs);
  }, [bake, box.offsetMs, kitchen, state]);
  useEffect(() => () => timerBoard.fromBench(bake.id, null, 0), [bake.id]);

  const nowByServer = useCallback(() => Date.now() + box.offsetMs, [box.offsetMs]);
  const put = useCallback(
    (actions: readonly BakeAction[]) => actions.forEach((each) => outbox.tap(each)),
    [outbox],
  );
  const deeds = useDeeds(bake.sheet, state, nowByServer, put);
  // what was not taken is not to be taken back
  return { state, outbox: box, ...deeds, ...(!mayPress && { last: null }) };
}
