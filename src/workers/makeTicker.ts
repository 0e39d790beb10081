import { secondHand, type TickPort } from './secondHand';

/** The page's second hand, in a thread. In a file of its own: a test has none. Ends it. */
export const tickEverySecond = (tick: () => void): (() => void) =>
  secondHand(() => new Worker(new URL('./tick.worker.ts', import.meta.url)) as unknown as TickPort, tick);
