import type { RunningTimer } from '@/core/bake';
import { listTimers } from '@/db/queries/bakeCards';
import type { Context } from './context';

/** A timer and the kitchen it runs in, by its address. */
export interface KitchenTimer extends RunningTimer {
  readonly kitchen: string;
}

/** The timers of every bake under way, for whatever page is open to ring them; the next to end first. */
export async function timersUnderWay({
  pool,
  kitchen,
  now,
}: Context): Promise<{ timers: KitchenTimer[]; nowMs: number }> {
  const rows = await listTimers(pool, kitchen.id);
  return {
    timers: rows.map(({ timer, kitchen: address }) => ({ ...timer, kitchen: address })),
    nowMs: now().getTime(),
  };
}
