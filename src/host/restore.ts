import { existsSync } from 'node:fs';
import path from 'node:path';
import { createInterface } from 'node:readline/promises';
import pg from 'pg';
import { runClient, withDatabase, type DatabaseOptions, type Surroundings } from './database';
import type { Home } from './home';
import { HostFailure, say } from './hostFailure';
import type { Lease } from './lease';
import { connectAsSuperuser, migrateDatabase } from './prepare';
import { addressOf, DATABASE, giveTables, OWNER, RESTORED, SERVING } from './roles';

/** Under this name a backup is unpacked and brought up to date before anything of the present is touched. */
const RESTORING = 'crumb_restoring';
const ASIDE = /^crumb_before_\d{8}_\d{6}$/;

/**
 * `./crumb restore FILE`: brings a backup back. Into an empty home at once; where a kitchen lives already it asks, and keeps the old
 * data aside under a name that can be restored in its turn. All is prepared beside; the change itself is one transaction.
 */
export async function restore(options: DatabaseOptions, args: readonly string[]): Promise<number> {
  const [name] = args.filter((arg) => arg !== '--yes');
  if (!name || args.length > 2) throw new HostFailure('say what from: ./crumb restore FILE [--yes]');
  const file = path.resolve(options.calledFrom, name);
  return withDatabase(options, async (surroundings, inHome) => {
    if (!inHome) return intoOwnServer(options, surroundings, file);
    const { home, lease } = inHome;
    const aside = ASIDE.test(name) && !existsSync(file);
    if (!aside) await checkFile(options, surroundings, file, name);
    if (await holdsKitchen(home, lease)) {
      if (!args.includes('--yes') && !(await agrees())) {
        say('Nothing was changed.');
        return 1;
      }
    }
    const source = aside ? name : await unpack(options, surroundings, home, lease, file);
    const asideName = await exchange(home, lease, source, aside);
    say(
      asideName
        ? `Restored. The data from before are kept; ./crumb restore ${asideName} brings them back.`
        : 'Restored.',
    );
    return 0;
  });
}

async function checkFile(
  options: DatabaseOptions,
  surroundings: Surroundings,
  file: string,
  name: string,
): Promise<void> {
  if (!existsSync(file)) throw new HostFailure(`there is no file ${name}`);
  const read = await runClient('pg_restore', ['--file=/dev/null', file], {
    surroundings,
    cwd: options.calledFrom,
    quiet: true,
  });
  if (read.code !== 0)
    throw new HostFailure(`${name} is no backup of Honest Crumb, or is not whole. Nothing was changed`);
}

async function holdsKitchen(home: Home, lease: Lease): Promise<boolean> {
  const inside = await connectAsSuperuser(home, lease.port, DATABASE);
  try {
    const { rows } = await inside.query<{ here: boolean }>(
      `select to_regclass('public.kitchen') is not null as here`,
    );
    if (!rows[0]?.here) return false;
    return (await inside.query('select 1 from kitchen limit 1')).rows.length > 0;
  } finally {
    await inside.end();
  }
}

async function agrees(): Promise<boolean> {
  if (!process.stdin.isTTY) {
    say(
      'There is a kitchen in this home already. With --yes it is kept aside and the backup takes its place.',
    );
    return false;
  }
  const asking = createInterface({ input: process.stdin, output: process.stderr });
  const answer = await asking.question(
    'There is a kitchen in this home already. Keep it aside and put the backup in its place? (yes/no) ',
  );
  asking.close();
  return answer.trim().toLowerCase() === 'yes';
}

async function unpack(
  options: DatabaseOptions,
  surroundings: Surroundings,
  home: Home,
  lease: Lease,
  file: string,
): Promise<string> {
  await lease.client.query(`drop database if exists ${RESTORING} with (force)`);
  await lease.client.query(`create database ${RESTORING} owner ${OWNER} encoding 'UTF8' template template0`);
  try {
    await unpackInto(RESTORING, options, surroundings, file);
    const inside = await connectAsSuperuser(home, lease.port, RESTORING);
    try {
      const { rows } = await inside.query<{ here: boolean }>(
        `select to_regclass('public.schema_migration') is not null as here`,
      );
      if (!rows[0]?.here)
        throw new HostFailure('this file holds no kitchen of Honest Crumb. Nothing was changed');
      await giveTables(inside);
    } finally {
      await inside.end();
    }
    await migrateDatabase(addressOf(home, lease.port, OWNER, 'owner', RESTORING), options.root, SERVING);
    return RESTORING;
  } catch (error) {
    await lease.client.query(`drop database if exists ${RESTORING} with (force)`).catch(() => undefined);
    throw error;
  }
}

/** All of the file in one transaction, or nothing of it. */
async function unpackInto(
  database: string,
  { calledFrom }: DatabaseOptions,
  surroundings: Surroundings,
  file: string,
): Promise<void> {
  const unpacked = await runClient(
    'pg_restore',
    [
      '--no-owner',
      '--no-privileges',
      '--exit-on-error',
      '--single-transaction',
      `--dbname=${database}`,
      file,
    ],
    { surroundings, cwd: calledFrom, quiet: true },
  );
  if (unpacked.code !== 0)
    throw new HostFailure(
      `the backup could not be unpacked; nothing was changed:\n${unpacked.errors.trim().split('\n').slice(-4).join('\n')}`,
    );
}

const stamp = (now: Date): string =>
  now
    .toISOString()
    .replace(/\D/g, '')
    .replace(/^(\d{8})(\d{6}).*$/, '$1_$2');

/** Puts the prepared database in the place of the present one; whoever served the present one is put out and comes in again. */
async function exchange(home: Home, lease: Lease, source: string, aside: boolean): Promise<string | null> {
  const { client } = lease;
  const inside = await connectAsSuperuser(home, lease.port, source).catch(() => {
    throw new HostFailure(`there is no ${source} here`);
  });
  // what was remembered of the data before, under the same ids, does not hold for these
  await inside.query('update installation set epoch = gen_random_uuid()');
  await inside.end();
  const hadKitchen = await holdsKitchen(home, lease);
  const asideName = `crumb_before_${stamp(new Date())}`;
  try {
    await client.query(`alter database ${DATABASE} allow_connections false`);
    await client.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = any ($1)', [
      [DATABASE, source],
    ]);
    await waitForNobody(client, [DATABASE, source]);
    await client.query('begin');
    await client.query(`alter database ${DATABASE} rename to ${asideName}`);
    await client.query(`alter database ${source} rename to ${DATABASE}`);
    await client.query('commit');
  } catch (error) {
    await client.query('rollback').catch(() => undefined);
    throw error;
  } finally {
    await client.query(`alter database ${DATABASE} allow_connections true`).catch(() => undefined);
  }
  await client.query(`select pg_notify('${RESTORED}', '')`);
  if (hadKitchen) {
    await client.query(`alter database ${asideName} allow_connections true`);
    return asideName;
  }
  if (!aside) await client.query(`drop database ${asideName} with (force)`);
  return null;
}

async function waitForNobody(client: pg.Client, databases: readonly string[]): Promise<void> {
  for (let waited = 0; waited < 50; waited++) {
    const { rows } = await client.query('select 1 from pg_stat_activity where datname = any ($1)', [
      databases,
    ]);
    if (rows.length === 0) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new HostFailure(
    'somebody is still connected to the database and does not let go; nothing was changed. Try again',
  );
}

/** On a server of the reader's own databases are not ours to rename: an empty one is filled. */
async function intoOwnServer(
  options: DatabaseOptions,
  surroundings: Surroundings,
  file: string,
): Promise<number> {
  await checkFile(options, surroundings, file, path.basename(file));
  const pool = new pg.Pool({ connectionString: options.databaseUrl ?? undefined, max: 1 });
  const { rows } = await pool.query<{ here: boolean }>(
    `select to_regclass('public.schema_migration') is not null as here`,
  );
  await pool.end();
  if (rows[0]?.here)
    throw new HostFailure(
      'the database named by DATABASE_URL is in use. Make an empty one, point DATABASE_URL at it, and restore into that',
    );
  await unpackInto(surroundings.PGDATABASE, options, surroundings, file);
  await migrateDatabase(options.databaseUrl ?? '', options.root, null);
  say('Restored.');
  return 0;
}
