import pg from 'pg';
import { setTimeout as pause } from 'node:timers/promises';
import { clusterPort, livePostmaster, startCluster, stopCluster, SUPERUSER } from './cluster';
import { keyOf, type Home } from './home';
import { HostFailure, say } from './hostFailure';

/**
 * Who uses the cluster is known to the cluster itself: each command holds a shared advisory lock on a connection of its own for as
 * long as it lives. Who leaves tries to take it alone: only if nobody else holds it is the server stopped. A command that is
 * killed lets go with its connection, so no file can be left behind that says otherwise.
 */
const IN_USE = 720_431_191;
/** A database that recovers from a power cut answers late; one that never does is broken. */
const PATIENCE_MS = 180_000;
const STEP_MS = 150;

export interface Lease {
  readonly port: number;
  /** The connection that holds the lock: the superuser's. */
  readonly client: pg.Client;
  /** Called once when the connection is lost without having been given up: the database was killed. */
  onLost: (() => void) | null;
  /** Gives it up, and stops the server if nobody else uses it. */
  readonly giveUp: () => Promise<void>;
}

function connectionOf(home: Home, port: number): pg.Client {
  return new pg.Client({
    host: '127.0.0.1',
    port,
    user: SUPERUSER,
    password: keyOf(home, 'superuser'),
    // not `postgres`: homes of the first versions kept the kitchen in it, and it has to be renamed
    database: 'template1',
    connectionTimeoutMillis: 3000,
    application_name: 'crumb',
  });
}

/** Ends a connection that may not answer any more. */
const hangUp = async (client: pg.Client): Promise<void> => {
  await Promise.race([client.end().catch(() => undefined), pause(1000)]);
};

/** The cluster in use by this command, started if need be. Whoever races us for it, or is just stopping it, is waited for. */
export async function leaseCluster(home: Home): Promise<Lease> {
  const until = Date.now() + PATIENCE_MS;
  let told = false;
  for (;;) {
    await startCluster(home);
    const port = clusterPort(home);
    const client = port === null ? null : connectionOf(home, port);
    if (client && port !== null) {
      let lost: (() => void) | null = null;
      let over = false;
      client.on('error', () => undefined);
      client.on('end', () => {
        if (!over) lost?.();
      });
      try {
        await client.connect();
        const { rows } = await client.query<{ got: boolean }>(
          'select pg_try_advisory_lock_shared($1) as got',
          [IN_USE],
        );
        if (rows[0]?.got) {
          return {
            port,
            client,
            get onLost() {
              return lost;
            },
            set onLost(then) {
              lost = then;
            },
            giveUp: async () => {
              over = true;
              await giveUp(home, client);
            },
          };
        }
      } catch (error) {
        const code = (error as { code?: string }).code ?? '';
        if (code === '28P01')
          throw new HostFailure(
            `the key in ${home.folder}/keys does not open this database; put back the folder "keys" that belongs to it`,
          );
        if (!told && code === '57P03' && livePostmaster(home.cluster) !== null) {
          told = true;
          say('The database is recovering or shutting down; waiting for it ...');
        }
      }
      over = true;
      await hangUp(client);
    }
    if (Date.now() > until)
      throw new HostFailure(`the database does not answer. Its log is ${home.cluster}/server.log`);
    await pause(STEP_MS);
  }
}

async function giveUp(home: Home, client: pg.Client): Promise<void> {
  const ask = async (): Promise<boolean> => {
    await client.query('select pg_advisory_unlock_shared($1)', [IN_USE]);
    const { rows } = await client.query<{ got: boolean }>('select pg_try_advisory_lock($1) as got', [IN_USE]);
    return rows[0]?.got ?? false;
  };
  try {
    const alone = await Promise.race([ask(), pause(3000).then(() => null)]);
    if (alone) await stopCluster(home);
    // whether others use it cannot be asked: it is not taken from them
    if (alone === null)
      say('The database does not answer; it is left as it is, and the next start takes it over.');
  } catch {
    // it went away by itself
  } finally {
    await hangUp(client);
  }
}
