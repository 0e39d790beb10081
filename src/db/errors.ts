/** SQLSTATEs that the use cases react to, mapped once. Everything else is a bug or a broken server and stays an exception. */
export type DatabaseFailure = 'duplicate' | 'unavailable' | 'full' | 'other';

/** Connections refused or broken (08), a server shutting down or recovering (57P), too many connections or too little memory (53), a statement or a lock that took too long, a system call
 * that failed (58), a database that is just being exchanged for a restored one (55000, 3D000). */
const UNAVAILABLE = /^(?:08|57P|53[2-4]00|57014|58|55P03|55000|3D000|40001|40P01)/;
const FULL = /^53100/;
/** A wrong password or role: nothing that waiting mends. */
const NOT_LET_IN = /^28/;
const SOCKET = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'EHOSTUNREACH', 'ENETUNREACH']);

export function databaseFailure(error: unknown): DatabaseFailure {
  const code = typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
  if (code === '23505') return 'duplicate';
  if (FULL.test(code)) return 'full';
  if (UNAVAILABLE.test(code) || SOCKET.has(code)) return 'unavailable';
  // the server ended the session, or could not begin one: with a full disk a new one cannot write its first file (XX000)
  const severity = typeof error === 'object' && error !== null && 'severity' in error ? error.severity : '';
  if ((severity === 'FATAL' || severity === 'PANIC') && !NOT_LET_IN.test(code)) return 'unavailable';
  // node-postgres reports these without a code
  const message = error instanceof Error ? error.message : '';
  return /Connection terminated|timeout exceeded when trying to connect|timeout expired|Connection ended|Query read timeout|not queryable|Cannot use a pool after calling end/.test(
    message,
  )
    ? 'unavailable'
    : 'other';
}
