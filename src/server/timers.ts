import type { RunningTimer } from '@/core/bake';
import { listOvens, listTimers } from '@/db/queries/rings';
import type { Context } from './context';

/** A timer and the kitchen it runs in, by its address. */
interface KitchenTimer extends RunningTimer {
  readonly kitchen: string;
}

type OvenRow = Awaited<ReturnType<typeof listOvens>>[number];

/** All that may ring. */
interface Rings {
  readonly timers: readonly KitchenTimer[];
  readonly ovens: readonly OvenRow[];
  readonly nowMs: number;
}

/** The timers of every bake under way, for whatever page is open to ring them; the next to end first. */
/** @param only a device of the network knows its own kitchen alone: its address */
export async function timersUnderWay({ pool, kitchen, now }: Context, only: string | null): Promise<Rings> {
  const isKnown = ({ kitchen: address }: { readonly kitchen: string }) => only === null || address === only;
  const [rows, ovens] = await Promise.all([listTimers(pool, kitchen.id), listOvens(pool, kitchen.id)]);
  return {
    timers: rows.filter(isKnown).map(({ timer, kitchen: address }) => ({ ...timer, kitchen: address })),
    ovens: ovens.filter(isKnown),
    nowMs: now().getTime(),
  };
}
