import type { Port } from './client';
import { answersFor } from './whoAnswers';

/** The thread that simulates. In a file of its own: a test has none. */
export const makeWorker = (): Port =>
  answersFor(new Worker(new URL('./run.worker.ts', import.meta.url))) as unknown as Port;
