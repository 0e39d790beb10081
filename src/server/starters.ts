import { lifeHands } from '@/core/day/lifeHands';
import type { DayDocument } from '@/core/day/dayDocument';
import type { LifeDocument } from '@/core/day/lifeDocument';
import type { SaveStarters } from '@/core/requests';
import { BACK_MS, feedsDue, type FeedDue } from '@/core/starter/feedsDue';
import { NO_STARTERS, type StartersDocument } from '@/core/starter/starterDocument';
import { STARTER_SHELF } from '@/db/queries/versions';
import type { Context } from './context';
import { loadVersion, saveNext, type Stored } from './versions';

export type StoredStarters = Stored<StartersDocument>;

/** The starters a kitchen keeps. */
export const loadStarters = (context: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredStarters> =>
  loadVersion(context, STARTER_SHELF, NO_STARTERS);

export const saveStarters = (context: Context, { requestId, seen, starters }: SaveStarters) =>
  saveNext(context, STARTER_SHELF, { requestId, seen, value: starters });

const AHEAD_MS = 24 * 3_600_000;

/** When the starters of a kitchen are to be fed within a day: beside its hours, and what its day asks hands for. */
export function feedsOn({ kitchen, now }: Pick<Context, 'kitchen' | 'now'>, starters: StartersDocument, life: LifeDocument, day: DayDocument): FeedDue[] {
  if (starters.starters.length === 0) return [];
  const nowMs = now().getTime();
  const there = lifeHands(life, kitchen.details.timeZone, nowMs - BACK_MS, nowMs + 3 * AHEAD_MS);
  const busy = day.batches.flatMap(({ at }) =>
    Object.values(at).flatMap(({ startMs, handsOn }) => (handsOn ? [{ fromMs: startMs, toMs: startMs + 300_000 }] : [])),
  );
  return feedsDue(starters, nowMs, AHEAD_MS, there.ok ? there.value.hands.filter(({ unwanted }) => !unwanted) : null, busy);
} // prettier-ignore
