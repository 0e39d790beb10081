'use client';
import { createContext } from 'react';

/** What the time is on this page, moving on a few times a second. */
export interface PageClock {
  readonly subscribe: (listener: () => void) => () => void;
  /** ms since 1970; 0 until it runs. */
  readonly read: () => number;
}

const TICK_MS = 250;
let nowMs = 0;
let timer: ReturnType<typeof setInterval> | null = null;
const listeners = new Set<() => void>();

/** This device's own. One ticker for all who watch. */
const DEVICE_CLOCK: PageClock = {
  read: () => nowMs,
  subscribe: (listener) => {
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
  },
};

/** The clock of the page below: this device's, or that of a kitchen that is only practised. */
export const ClockContext = createContext<PageClock>(DEVICE_CLOCK);
