import type { ReadingPort } from './readingClient';
import { answersFor } from './whoAnswers';

/** The thread that reads. In a file of its own: a test has none. */
export const makeReadingWorker = (): ReadingPort =>
  answersFor(new Worker(new URL('./reading.worker.ts', import.meta.url))) as unknown as ReadingPort;
