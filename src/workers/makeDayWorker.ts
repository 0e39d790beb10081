import type { FromDayWorker, ToDayWorker } from './dayProtocol';
import { answersFor } from './whoAnswers';

/** What a day's worker is to the page: so that a test can put another in its place. */
export interface DayPort {
  postMessage(message: ToDayWorker): void;
  onmessage: ((event: { readonly data: FromDayWorker }) => void) | null;
  onerror: ((event: unknown) => void) | null;
  terminate(): void;
}

/** The thread that plans. In a file of its own: a test has none. */
export const makeDayWorker = (): DayPort =>
  answersFor(new Worker(new URL('./day.worker.ts', import.meta.url))) as unknown as DayPort;
