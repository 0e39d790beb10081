import type { StartersDocument } from './starterDocument';
import { starterNow, type NextFeed, type StarterNow } from './starterNow';

interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

/** A keeping feed as the day calls it out. */
export interface FeedDue {
  readonly starterId: string;
  readonly name: string;
  /** When somebody has a hand for it, as near to when it is due as can be. */
  readonly atMs: number;
  readonly feed: NextFeed;
  /** Nobody is there between when it may be fed and when it goes hungry. */
  readonly nobody: boolean;
}

const STEP_MS = 300_000;
/** Who was there is known so far back. */
export const BACK_MS = 24 * 3_600_000;

/**
 * When each starter of a kitchen is to be fed next, at a moment when somebody is there and not busy; what should have been fed by now, at the moment when it
 * should have been.
 *
 * @param free when somebody is there, from {@link BACK_MS} before now on; null: nobody said
 * @param busy hands that are promised
 * @param aheadMs later feeds are no part of the day
 */
export function feedsDue({ starters }: StartersDocument, nowMs: number, aheadMs: number, free: readonly Span[] | null, busy: readonly Span[]): FeedDue[] {
  const can = (ms: number) =>
    (free === null || ms < nowMs - BACK_MS || free.some(({ fromMs, toMs }) => fromMs <= ms && ms + STEP_MS <= toMs)) &&
    !busy.some(({ fromMs, toMs }) => fromMs < ms + STEP_MS && toMs > ms);
  return starters
    .flatMap((starter): FeedDue[] => {
      const { next } = starterNow(starter, nowMs);
      if (!next || next.dueMs > nowMs + aheadMs) return [];
      const { id: starterId, name } = starter;
      const dueMs = Math.ceil(next.dueMs / STEP_MS) * STEP_MS;
      // what is still to come is not put before now
      const fromMs = dueMs < nowMs ? dueMs : Math.max(nowMs, next.fromMs);
      // outwards from when it is due
      for (let by = 0; dueMs - by >= fromMs || dueMs + by <= next.latestMs; by += STEP_MS)
        for (const atMs of [dueMs - by, dueMs + by]) if (atMs >= fromMs && atMs <= Math.max(dueMs, next.latestMs) && can(atMs)) return [{ starterId, name, atMs, feed: next, nobody: false }];
      return [{ starterId, name, atMs: dueMs, feed: next, nobody: true }];
    })
    .sort((a, b) => a.atMs - b.atMs);
} // prettier-ignore

/** Starters of a kitchen as they are now, by the ingredient that formulas name. */
export const startersNow = (
  { starters }: StartersDocument,
  nowMs: number,
): ReadonlyMap<
  string,
  { readonly starter: StartersDocument['starters'][number]; readonly now: StarterNow }
> => new Map(starters.map((starter) => [starter.ingredientId, { starter, now: starterNow(starter, nowMs) }]));
