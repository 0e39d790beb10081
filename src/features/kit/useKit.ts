'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { Kit } from '@/core/kit';
import { newUuid } from '@/ui/newUuid';
import { useKitchen } from '../kitchen/KitchenProvider';
import type { KitchenPlace } from '../kitchen/place';
import { ask } from '../asking/ask';
import { findDraft, rememberDraft, type DraftPlace } from '../queue/draft';
import { Saver, type SaveState, type SaveWish } from '../queue/saver';
import { browserQueue } from '../queue/browserQueue';
import type { Queue } from '../queue/queue';
import { words } from '@/wording/screens/kit/useKit';

export type KitSave = 'saved' | 'saving' | 'stale' | 'unreachable' | 'refused';

interface StoredKit {
  readonly version: number;
  readonly kit: Kit;
}

const SAVE_OF: Readonly<Record<SaveState['kind'], KitSave>> = {
  saved: 'saved',
  waiting: 'saving',
  saving: 'saving',
  unreachable: 'unreachable',
  conflict: 'stale',
  held: 'refused',
  refused: 'refused',
};

const bodyOf = ({ requestId, seen, value }: SaveWish<unknown>) => ({ requestId, seen, kit: value });
const placeOf = (queue: Queue, kitchen: KitchenPlace): DraftPlace => ({
  queue,
  lane: kitchen.lane('kit'),
  what: () => words.changesToTheEquipment,
  body: bodyOf,
});

async function readKitDraft(body: unknown): Promise<SaveWish<Kit> | null> {
  const { saveKitSchema } = await import('@/core/requests');
  const read = saveKitSchema.safeParse(body);
  return read.success ? { requestId: read.data.requestId, seen: read.data.seen, value: read.data.kit } : null;
}

/** Saves the kit behind the screen, like a sheet: after a moment of quiet, before the page goes, and by itself after a dead network. */
const makeSaver = (stored: StoredKit, place: DraftPlace, kitchen: KitchenPlace): Saver<Kit> =>
  new Saver<Kit>(
    {
      post: async (wish, leaving) => {
        const answer = await ask<StoredKit>(kitchen.api('/kit'), bodyOf(wish), { keepalive: leaving });
        if (answer.kind !== 'ok') return answer;
        return { kind: 'ok', value: { revision: answer.value.version, savedAtMs: 0 } };
      },
      check: () => [],
      newId: newUuid,
      wait: (ms, then) => {
        const timer = setTimeout(then, ms);
        return () => clearTimeout(timer);
      },
      remember: (wish) => rememberDraft(place, wish),
    },
    { value: stored.kit, revision: stored.version, savedAtMs: 0 },
  );

const same = (a: Kit, b: Kit): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The kit as it is being changed: shown at once, saved soon after, and brought back where it could not be. */
export function useKit(stored: StoredKit) {
  const router = useRouter();
  const [kit, setKit] = useState(stored.kit);
  const asked = useRef(stored.kit);
  const kitchen = useKitchen();
  const [place] = useState(() => placeOf(browserQueue(), kitchen));
  const [saver] = useState(() => makeSaver(stored, place, kitchen));
  const state = useSyncExternalStore(
    saver.subscribe,
    () => saver.state,
    () => saver.state,
  );
  const change = useCallback(
    (next: Kit) => {
      // putting back what stands there already is no change; what was asked for last counts, not what a field once saw
      if (!same(asked.current, next)) saver.change(next);
      asked.current = next;
      setKit(next);
    },
    [saver],
  );

  useEffect(() => {
    let gone = false;
    const letGo = place.queue.hold(place.lane);
    void findDraft(place, readKitDraft).then((draft) => {
      if (gone || !draft) return;
      if (same(draft.value, stored.kit)) return rememberDraft(place, null);
      if (draft.seen !== saver.revision) saver.adopt(stored.kit, { revision: draft.seen, savedAtMs: 0 });
      asked.current = draft.value;
      setKit(draft.value);
      saver.change(draft.value, draft.requestId);
    });
    return () => {
      gone = true;
      letGo();
    };
    // once, when the page opens
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [place, saver]);

  // pages that were loaded before compute with it from now on
  const savedAs = state.kind === 'saved' ? state.revision : null;
  useEffect(() => {
    if (savedAs !== null && savedAs !== stored.version) router.refresh();
  }, [stored.version, router, savedAs]);

  // what somebody else changed in between is not overwritten; what was typed here stays to be looked at
  useEffect(() => {
    if (state.kind !== 'conflict') return;
    void place.queue.refuse(`${place.lane}:${place.queue.tab}`, {
      why: 'stale',
      problem: null,
      atMs: Date.now(),
    });
  }, [place, state.kind]);

  useEffect(() => {
    const leave = () => void saver.flush(true);
    const again = () => void saver.flush();
    window.addEventListener('pagehide', leave);
    window.addEventListener('online', again);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('online', again);
      leave();
    };
  }, [saver]);
  return { kit, change, save: SAVE_OF[state.kind] };
}
