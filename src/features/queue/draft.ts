import { aliveTabs } from './browserQueue';
import type { Queue } from './queue';
import type { SaveWish } from './saver';

/** What of one document was typed and not yet acknowledged, in the browser's queue: so a reload or a crash does not take it. */
export interface DraftPlace {
  readonly queue: Queue;
  readonly lane: string;
  readonly what: (value: unknown) => string;
  /** The request as it will be sent. */
  readonly body: (wish: SaveWish<unknown>) => unknown;
}

/** Each tab keeps its own draft: two tabs on one document must not write over each other here either. */
const ownId = ({ queue, lane }: DraftPlace): string => `${lane}:${queue.tab}`;

export function rememberDraft<T>(place: DraftPlace, wish: SaveWish<T> | null): void {
  const id = ownId(place);
  if (!wish) void place.queue.remove([id]);
  else void place.queue.put({ id, lane: place.lane, what: place.what(wish.value), body: place.body(wish) });
}

/**
 * This tab's draft, or the newest left behind by a tab that is gone; it becomes this tab's. Without locks (plain http) a dead tab
 * cannot be told from a living one: then what is theirs is left to be sent by itself.
 * @param read what was left, if it is one; may fail when its reader cannot be had now: then the draft stays where it is
 */
export async function findDraft<T>(
  place: DraftPlace,
  read: (body: unknown) => Promise<SaveWish<T> | null>,
): Promise<SaveWish<T> | null> {
  const { queue, lane } = place;
  await queue.open();
  const alive = await aliveTabs();
  const left = queue
    .lane(lane)
    .filter(({ tab }) => tab === queue.tab || (alive !== null && !alive.has(tab)))
    .reverse();
  for (const entry of left) {
    let wish: SaveWish<T> | null;
    try {
      wish = await read(entry.body);
    } catch {
      return null;
    }
    if (!wish) {
      void queue.refuse(entry.id, { why: 'invalid', problem: null, atMs: entry.madeAtMs });
      continue;
    }
    if (entry.id !== ownId(place)) {
      rememberDraft(place, wish);
      // after the writing of its new place, never before
      await queue.remove([entry.id]);
    }
    return wish;
  }
  return null;
}
