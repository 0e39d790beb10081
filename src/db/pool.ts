import pg from 'pg';

/** int8 never leaves this schema's range, but says so loudly if it ever does instead of losing digits. */
pg.types.setTypeParser(pg.types.builtins.INT8, (text) => {
  const value = Number(text);
  if (!Number.isSafeInteger(value)) throw new Error(`A bigint does not fit: ${text}`);
  return value;
});

export function openPool(connectionString: string): pg.Pool {
  const pool = new pg.Pool({
    connectionString,
    max: 10,
    connectionTimeoutMillis: 5000,
    idleTimeoutMillis: 30_000,
    statement_timeout: 15_000,
    application_name: 'honest-crumb',
  });
  // An idle connection dies when the database restarts under us; the next query opens a new one.
  pool.on('error', () => undefined);
  return pool;
}

// Survives hot reload in development, where modules are evaluated again and would otherwise leak a pool each time.
const holder = globalThis as typeof globalThis & { crumbPool?: pg.Pool };

/** The application's pool, opened at first use from DATABASE_URL. */
export function pool(): pg.Pool {
  if (!holder.crumbPool) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error('DATABASE_URL is not set; start the application with ./crumb start');
    holder.crumbPool = openPool(url);
  }
  return holder.crumbPool;
}
