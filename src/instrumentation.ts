import { databaseFailure } from '@/db/errors';

const noted = globalThis as typeof globalThis & {
  crumbTrouble?: { kind: 'database' | 'full'; atMs: number };
};

/** What made a page fail: the door says so in its own words, and knows when to look again. */
export function onRequestError(error: unknown): void {
  const failure = databaseFailure(error);
  if (failure === 'unavailable') noted.crumbTrouble = { kind: 'database', atMs: performance.now() };
  else if (failure === 'full') noted.crumbTrouble = { kind: 'full', atMs: performance.now() };
  else delete noted.crumbTrouble;
}
