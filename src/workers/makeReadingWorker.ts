import type { ReadingPort } from './readingClient';

/** The thread that reads. In a file of its own: a test has none. */
export const makeReadingWorker = (): ReadingPort =>
  new Worker(new URL('./reading.worker.ts', import.meta.url)) as unknown as ReadingPort;
