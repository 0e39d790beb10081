'use client';
import { useCallback, useMemo, useState } from 'react';
import { bakeState, type BakeAction, type BakeEvent, type BakeRecord } from '@/core/bake';
import type { Bench } from '../bench/useBench';
import { useDeeds } from '../bench/useDeeds';
import type { PracticeClock } from './practiceClock';

/** A bench whose log lies on this page alone: nothing of it is sent, saved, learnt from or taken from a shelf. */
export function usePracticeBench(
  bake: BakeRecord,
  clock: PracticeClock,
): Bench & { readonly presses: number } {
  const [events, setEvents] = useState<readonly BakeEvent[]>([]);
  const [presses, setPresses] = useState(0);
  const state = useMemo(() => bakeState(bake.startedAtMs, events), [bake.startedAtMs, events]);
  const put = useCallback(
    (actions: readonly BakeAction[]) => {
      const atMs = Math.round(clock.now());
      setPresses((was) => was + 1);
      setEvents((was) => [...was, ...actions.map((action, at) => ({ seq: was.length + at + 1, atMs, action }))]);
    },
    [clock],
  );
  const deeds = useDeeds(bake.sheet, state, clock.now, put);
  const outbox = useMemo(() => ({ waiting: [], events, offsetMs: 0, reachable: true, refused: null }), [events]);
  return { ...deeds, state, outbox, presses };
} // prettier-ignore
