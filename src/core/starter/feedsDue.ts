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

/**
 * When each starter of a kitchen is to be fed next, at a moment when somebody is there and not busy.
 *
 * @param free when somebody is there; null: nobody said
 * @param busy hands that are promised
 * @param aheadMs later feeds are no part of the day
 */
export function feedsDue({ starters }: StartersDocument, nowMs: number, aheadMs: number, free: readonly Span[] | null, busy: readonly Span[]): FeedDue[] {
  const can = (ms: number) =>
    (free === null || free.some(({ fromMs, toMs }) => fromMs <= ms && ms + STEP_MS <= toMs)) && !busy.some(({ fromMs, toMs }) => fromMs < ms + STEP_MS && toMs > ms);
  return starters
    .flatMap((starter): FeedDue[] => {
      const { next } = starterNow(starter, nowMs);
      if (!next || Math.max(nowMs, next.dueMs) > nowMs + aheadMs) return [];
      const { id: starterId, name } = starter;
      const dueMs = Math.ceil(Math.max(nowMs, next.dueMs) / STEP_MS) * STEP_MS;
      const [fromMs, latestMs] = [Math.max(nowMs, next.fromMs), Math.max(dueMs, next.latestMs)];
      // outwards from when it is due
      for (let by = 0; dueMs - by >= fromMs || dueMs + by <= latestMs; by += STEP_MS)
        for (const atMs of [dueMs - by, dueMs + by]) if (atMs >= fromMs && atMs <= latestMs && can(atMs)) return [{ starterId, name, atMs, feed: next, nobody: false }];
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
