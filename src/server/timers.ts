import type { RunningTimer } from '@/core/bake';
import { listTimers } from '@/db/queries/bakeCards';
import type { Context } from './context';

/** The timers of every bake under way, for whatever page is open to ring them; the next to end first. */
export async function timersUnderWay({
  pool,
  kitchen,
  now,
}: Context): Promise<{ timers: RunningTimer[]; nowMs: number }> {
  const rows = await listTimers(pool, kitchen.id);
  return { timers: rows.map(({ timer }) => timer), nowMs: now().getTime() };
}
