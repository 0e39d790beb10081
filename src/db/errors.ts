/** SQLSTATEs that the use cases react to, mapped once. Everything else is a bug or a broken server and stays an exception. */
export type DatabaseFailure = 'duplicate' | 'unavailable' | 'full' | 'other';

const UNAVAILABLE = /^(?:08|57P0)/;
const FULL = /^53[12]/;

export function databaseFailure(error: unknown): DatabaseFailure {
  const code = typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
  if (code === '23505') return 'duplicate';
  if (FULL.test(code)) return 'full';
  if (UNAVAILABLE.test(code) || ['ECONNREFUSED', 'ECONNRESET', 'EPIPE'].includes(code)) return 'unavailable';
  // node-postgres reports these without a code
  const message = error instanceof Error ? error.message : '';
  return /Connection terminated|timeout exceeded when trying to connect/.test(message)
    ? 'unavailable'
    : 'other';
}
