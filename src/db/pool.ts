import pg from 'pg';

/** int8 never leaves this schema's range, but says so loudly if it ever does instead of losing digits. */
pg.types.setTypeParser(pg.types.builtins.INT8, (text) => {
  const value = Number(text);
  if (!Number.isSafeInteger(value)) throw new Error(`A bigint does not fit: ${text}`);
  return value;
});

export interface Patience {
  /** For a connection: from the pool, or a new one. */
  readonly connectMs: number;
  /** For the answer to a statement, by this side's clock: a frozen server does not know that it is late. */
  readonly answerMs: number;
}

/**
 * A request that cannot be answered in five seconds is answered with "try again". One of the two runs out, never both: a server that
 * lets somebody in is not frozen.
 */
const SERVING: Patience = { connectMs: 4000, answerMs: 4000 };
/** Migrations, imports and backups may take their time. */
export const PATIENT: Patience = { connectMs: 10_000, answerMs: 600_000 };

export function openPool(connectionString: string, { connectMs, answerMs }: Patience = SERVING): pg.Pool {
  const pool = new pg.Pool({
    connectionString,
    max: 10,
    connectionTimeoutMillis: connectMs,
    idleTimeoutMillis: 30_000,
    // the server gives up a little before us, so that a statement that is merely slow does not cost its connection
    statement_timeout: answerMs - 300,
    query_timeout: answerMs,
    application_name: 'honest-crumb',
  });
  // An idle connection dies when the database restarts under us; the next query opens a new one.
  pool.on('error', () => undefined);
  // one that is in use and just not asked anything dies without a listener of its own, and would take the process along: the next query
  // on it fails, and says so to who asks
  pool.on('connect', (client) => client.on('error', () => undefined));
  return pool;
}

// Survives hot reload in development, where modules are evaluated again and would otherwise leak a pool each time; and stands where
// the host finds it, which starts a killed database again, perhaps on another port.
const holder = globalThis as typeof globalThis & { crumbPool?: { url: string; pool: pg.Pool } };

/** The application's pool, opened at first use from DATABASE_URL, and anew when that has changed. */
export function pool(): pg.Pool {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the application with ./crumb start');
  if (holder.crumbPool?.url !== url) {
    void holder.crumbPool?.pool.end();
    holder.crumbPool = { url, pool: openPool(url) };
  }
  return holder.crumbPool.pool;
}

/** Lets the application's connections go, waiting no longer than a moment for those that do not answer. */
export async function closePool(withinMs: number): Promise<void> {
  const open = holder.crumbPool;
  if (!open) return;
  delete holder.crumbPool;
  await Promise.race([open.pool.end(), new Promise((resolve) => setTimeout(resolve, withinMs).unref())]);
}
