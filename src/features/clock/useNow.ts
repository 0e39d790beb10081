'use client';
import { useContext, useSyncExternalStore } from 'react';
import { arrivedAtMs } from '../offline/keptPage';
import { ClockContext } from './pageClock';

/** How far the server's clock is from this device's, taken when the page it drew arrives. */
export const clockOffsetMs = (serverNowMs: number): number =>
  typeof window === 'undefined' ? 0 : serverNowMs - arrivedAtMs();

/**
 * The time by the server's clock, moving on a few times a second.
 * @param offsetMs server clock minus this page's
 * @param firstMs what to show until the browser's own clock has started (the server drew the page with it)
 */
export function useNow(offsetMs: number, firstMs: number): number {
  const clock = useContext(ClockContext);
  const local = useSyncExternalStore(clock.subscribe, clock.read, () => 0);
  return local === 0 ? firstMs : local + offsetMs;
}
