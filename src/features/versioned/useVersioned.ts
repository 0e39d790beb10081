'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { newUuid } from '@/ui/newUuid';
import { useKitchen } from '../kitchen/KitchenProvider';
import type { KitchenPlace } from '../kitchen/place';
import { ask } from '../asking/ask';
import { findDraft, rememberDraft, type DraftPlace } from '../queue/draft';
import { Saver, type SaveState, type SaveWish } from '../queue/saver';
import { browserQueue } from '../queue/browserQueue';

export type VersionedSave = 'saved' | 'saving' | 'stale' | 'unreachable' | 'refused';

/** A document as the server sent it. */
export interface Stored<T> {
  readonly version: number;
  readonly value: T;
}

/** What of a kitchen is kept as one document in versions, and how it is sent. */
interface VersionedPlace<T> {
  /** Its lane of the queue, and its part of the interface: `kit` goes to `/kit`. */
  readonly of: 'kit' | 'day' | 'life' | 'starters' | 'orders';
  /** What waits, in words. */
  readonly what: string;
  readonly body: (wish: SaveWish<unknown>) => unknown;
  /** What was left behind by a tab that is gone; null where it is none. */
  readonly readDraft: (body: unknown) => Promise<SaveWish<T> | null>;
}

type Of = VersionedPlace<unknown>['of'];

/** What the schema of a request that saves a document makes of something. */
interface Draft<D> {
  readonly safeParse: (
    body: unknown,
  ) => { readonly success: true; readonly data: D } | { readonly success: false };
}

/**
 * How a document that a kitchen has in versions is sent, and read again where a tab left it behind.
 *
 * @param schema of the request that saves it; fetched only where a draft was left behind
 */
export const versionedPlace = <K extends Of, D extends { readonly requestId: string; readonly seen: number } & Readonly<Record<K, unknown>>>(
  of: K,
  what: string,
  schema: () => Promise<Draft<D>>,
): VersionedPlace<D[K]> => ({
  of,
  what,
  body: ({ requestId, seen, value }) => ({ requestId, seen, [of]: value }),
  readDraft: async (body) => {
    const read = (await schema()).safeParse(body);
    return read.success ? { requestId: read.data.requestId, seen: read.data.seen, value: read.data[of] } : null;
  },
}); // prettier-ignore

const SAVE_OF: Readonly<Record<SaveState['kind'], VersionedSave>> = {
  saved: 'saved',
  waiting: 'saving',
  saving: 'saving',
  unreachable: 'unreachable',
  conflict: 'stale',
  held: 'refused',
  refused: 'refused',
};

/** Saves a document behind the screen, like a sheet: after a moment of quiet, before the page goes, and by itself after a dead network. */
const makeSaver = <T>(stored: Stored<T>, place: DraftPlace, kitchen: KitchenPlace, { of, body }: VersionedPlace<T>): Saver<T> =>
  new Saver<T>(
    {
      post: async (wish, leaving) => {
        const answer = await ask<{ version: number }>(kitchen.api(`/${of}`), body(wish), { keepalive: leaving });
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
    { value: stored.value, revision: stored.version, savedAtMs: 0 },
  ); // prettier-ignore

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A document of the kitchen as it is being changed: shown at once, saved soon after, and brought back where it could not be. */
export function useVersioned<T>(stored: Stored<T>, versioned: VersionedPlace<T>) {
  const router = useRouter();
  const [value, setValue] = useState(stored.value);
  const asked = useRef(stored.value);
  const kitchen = useKitchen();
  const [place] = useState((): DraftPlace => ({
    queue: browserQueue(),
    lane: kitchen.lane(versioned.of),
    what: () => versioned.what,
    body: versioned.body,
  }));
  const [saver] = useState(() => makeSaver(stored, place, kitchen, versioned));
  const state = useSyncExternalStore(
    saver.subscribe,
    () => saver.state,
    () => saver.state,
  );
  const change = useCallback(
    (next: T) => {
      // putting back what stands there already is no change; what was asked for last counts, not what a field once saw
      if (!same(asked.current, next)) saver.change(next);
      asked.current = next;
      setValue(next);
    },
    [saver],
  );

  useEffect(() => {
    let gone = false;
    const letGo = place.queue.hold(place.lane);
    void findDraft(place, versioned.readDraft).then((draft) => {
      if (gone || !draft) return;
      if (same(draft.value, stored.value)) return rememberDraft(place, null);
      if (draft.seen !== saver.revision) saver.adopt(stored.value, { revision: draft.seen, savedAtMs: 0 });
      asked.current = draft.value;
      setValue(draft.value);
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
  /** What was asked for last, drawn or not: whoever changes part of it changes that. */
  const latest = useCallback((): T => asked.current, []);
  return { value, change, latest, save: SAVE_OF[state.kind] };
}
