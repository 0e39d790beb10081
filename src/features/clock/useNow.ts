'use client';
import { useSyncExternalStore } from 'react';
import { arrivedAtMs } from '../offline/keptPage';

const TICK_MS = 250;
let nowMs = 0;
let timer: ReturnType<typeof setInterval> | null = null;
const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  // not a tick later: a page that was long on its way shows an old time until then
  if (!timer) nowMs = Date.now();
  timer ??= setInterval(() => {
    nowMs = Date.now();
    listeners.forEach((each) => each());
  }, TICK_MS);
  return () => {
    listeners.delete(listener);
    if (listeners.size === 0 && timer) {
      clearInterval(timer);
      timer = null;
    }
  };
}

/** How far the server's clock is from this device's, taken when the page it drew arrives. */
export const clockOffsetMs = (serverNowMs: number): number =>
  typeof window === 'undefined' ? 0 : serverNowMs - arrivedAtMs();

/**
 * The time by the server's clock, moving on a few times a second. One ticker for all who watch.
 * @param offsetMs server clock minus this device's
 * @param firstMs what to show until the browser's own clock has started (the server drew the page with it)
 */
export function useNow(offsetMs: number, firstMs: number): number {
  const local = useSyncExternalStore(
    subscribe,
    () => (nowMs === 0 ? 0 : nowMs),
    () => 0,
  );
  return local === 0 ? firstMs : local + offsetMs;
}
