'use client';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { ask } from '../asking/ask';
import { aliveTabs, alone, browserQueue } from './browserQueue';
import { Drain } from './drain';
import type { Queue, Waiting } from './queue';

/** Something was put into a lane that no page sends: it need not wait for the next look. */
const SEND_NOW = 'crumb:send';
export const sendNow = (): void => void window.dispatchEvent(new Event(SEND_NOW));

const NOTHING: readonly Waiting[] = [];

/** All that waits in this browser. */
export function useWaiting(): { queue: Queue; waiting: readonly Waiting[] } {
  const [queue] = useState(browserQueue);
  const waiting = useSyncExternalStore(
    queue.subscribe,
    () => queue.snapshot,
    () => NOTHING,
  );
  return { queue, waiting };
}

/** Sends what no page sends itself, for as long as the frame of the pages stands. */
export function useDrain(): void {
  const [queue] = useState(browserQueue);
  useEffect(() => {
    const drain = new Drain({
      queue,
      post: (path, body) => ask(path, body),
      aliveTabs,
      alone,
      now: () => Date.now(),
      wait: (ms, then) => {
        const timer = setTimeout(then, ms);
        return () => clearTimeout(timer);
      },
    });
    const stop = drain.start();
    window.addEventListener(SEND_NOW, drain.now);
    window.addEventListener('online', drain.now);
    window.addEventListener('focus', drain.now);
    return () => {
      stop();
      window.removeEventListener(SEND_NOW, drain.now);
      window.removeEventListener('online', drain.now);
      window.removeEventListener('focus', drain.now);
    };
  }, [queue]);
}
