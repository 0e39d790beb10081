import { answersFor } from './whoAnswers';

/** The thread that reads pictures of a crumb. In a file of its own: a test has none. */
export const makeCrumbWorker = (): Worker =>
  answersFor(new Worker(new URL('./crumb.worker.ts', import.meta.url)));
