import { turnMs, type RunningCard } from '@/core/bake';
import type { BoardTimer } from './boardTimer';

/** An oven that a bake under way will ask for, with the address of its kitchen. */
export interface KitchenOven {
  readonly kitchen: string;
  readonly bakeId: string;
  readonly bakeName: string;
  readonly oven: NonNullable<RunningCard['oven']>;
}

/** The same by this device's clock. */
export const byThisClock = (of: KitchenOven, offsetMs: number): KitchenOven => {
  const endsMs = of.oven.wait.endsMs.map((endMs) => endMs - offsetMs);
  return { ...of, oven: { ...of.oven, wait: { ...of.oven.wait, endsMs } } };
};

/**
 * The ovens that are to be lit now, as the bell rings timers. One that is late already is called from when it was first seen: its time
 * moves on with the clock.
 *
 * @param since when each was first seen to be due; kept up here
 */
export function ovensUp(
  ovens: readonly KitchenOven[],
  nowMs: number,
  since: Map<string, number>,
  nameOf: (oven: KitchenOven['oven']) => string,
): BoardTimer[] {
  const up = ovens.flatMap(({ kitchen, bakeId, bakeName, oven }): BoardTimer[] => {
    const { stepId, wait, leadS } = oven;
    const key = `${bakeId} ${stepId}`;
    if (turnMs(wait, nowMs) - 1000 * leadS > nowMs) return [];
    const atMs = since.get(key) ?? nowMs;
    since.set(key, atMs);
    return [
      {
        kitchen,
        bakeId,
        bakeName,
        stepId,
        isCall: true,
        stepKind: 'preheat',
        stepTitle: nameOf(oven),
        call: null,
        until: '',
        endsAtMs: atMs,
        localEndMs: atMs,
        mayUntilMs: null,
      },
    ];
  });
  const here = new Set(up.map(({ bakeId, stepId }) => `${bakeId} ${stepId}`));
  for (const key of [...since.keys()]) if (!here.has(key)) since.delete(key);
  return up;
}
