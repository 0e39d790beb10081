import { handsOf } from '@/core/day/life';
import type { DayDocument } from '@/core/day/dayDocument';
import type { LifeDocument } from '@/core/day/lifeDocument';
import type { SaveStarters } from '@/core/requests';
import { BACK_MS, feedsDue, type FeedDue } from '@/core/starter/feedsDue';
import { NO_STARTERS, type StartersDocument } from '@/core/starter/starterDocument';
import { newestVersion, STARTER_SHELF } from '@/db/queries/versions';
import type { Context } from './context';
import type { Stored } from './day';
import { done, type Done } from './failure';
import { saveVersion } from './versions';

export type StoredStarters = Stored<StartersDocument>;

/** The starters a kitchen keeps. */
export async function loadStarters({
  pool,
  kitchen,
}: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredStarters> {
  const { newest, setAside, version } = await newestVersion(pool, STARTER_SHELF, kitchen.id);
  return { version, value: newest?.value ?? NO_STARTERS, ...(setAside && { setAside }) };
}

export async function saveStarters(
  context: Context,
  { requestId, seen, starters }: SaveStarters,
): Promise<Done<{ readonly version: number }>> {
  const answer = await saveVersion(context, STARTER_SHELF, { requestId, seen, value: starters });
  return answer.ok ? done({ version: answer.value.version }) : answer;
}

const AHEAD_MS = 24 * 3_600_000;

/** When the starters of a kitchen are to be fed within a day: beside its hours, and what its day asks hands for. */
export function feedsOn({ kitchen, now }: Pick<Context, 'kitchen' | 'now'>, starters: StartersDocument, life: LifeDocument, day: DayDocument): FeedDue[] {
  if (starters.starters.length === 0) return [];
  const nowMs = now().getTime();
  const hands = handsOf({ ...life, zone: kitchen.details.timeZone }, nowMs - BACK_MS, nowMs + 3 * AHEAD_MS);
  const busy = day.batches.flatMap(({ at }) =>
    Object.values(at).flatMap(({ startMs, handsOn }) => (handsOn ? [{ fromMs: startMs, toMs: startMs + 300_000 }] : [])),
  );
  return feedsDue(starters, nowMs, AHEAD_MS, hands.ok ? hands.value.filter(({ unwanted }) => !unwanted) : null, busy);
} // prettier-ignore
