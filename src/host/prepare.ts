import { randomUUID } from 'node:crypto';
import path from 'node:path';
import pg from 'pg';
import { migrate, NewerDatabase } from '@/db/migrate';
import { openPool, PATIENT } from '@/db/pool';
import { grantServing } from '@/db/serving';
import { keyOf, type Home } from './home';
import { HostFailure, say } from './hostFailure';
import type { Lease } from './lease';
import { addressesOf, makeRolesAndDatabase, SERVING, type Addresses } from './roles';
import { SUPERUSER } from './cluster';

/** A superuser's connection to one database of the home's cluster. */
export async function connectAsSuperuser(home: Home, port: number, database: string): Promise<pg.Client> {
  const client = new pg.Client({
    host: '127.0.0.1',
    port,
    user: SUPERUSER,
    password: keyOf(home, 'superuser'),
    database,
    connectionTimeoutMillis: 5000,
    application_name: 'crumb',
  });
  client.on('error', () => undefined);
  await client.connect();
  return client;
}

/** Roles, database and tables of a home, brought up to date. */
export async function prepareHome(home: Home, lease: Lease, root: string): Promise<Addresses> {
  await makeRolesAndDatabase(home, lease, (database) => connectAsSuperuser(home, lease.port, database));
  const addresses = addressesOf(home, lease.port);
  await prepareDatabase(addresses.owner, root, SERVING);
  return addresses;
}

/** Brings a database up to date. Who applies migrations owns the tables; `serving`, if it is another role, is given what it needs. */
export async function migrateDatabase(ownerUrl: string, root: string, serving: string | null): Promise<void> {
  const pool = openPool(ownerUrl, PATIENT);
  try {
    const applied = await migrate(pool, path.join(root, 'src/db/migrations'));
    for (const file of applied) say(`Migrated: ${file}`);
    // the kitchens' documents are fetched here: most commands have no use for them, and they take seconds
    const { renewCards } = await import('@/server/bakeCards');
    const made = await renewCards(pool);
    if (made > 0) say(`Lists made anew of ${made} bakes.`);
    if (serving) await grantServing(pool, serving);
  } catch (error) {
    if (error instanceof NewerDatabase)
      throw new HostFailure(
        `the data were last used by a newer version of Honest Crumb (they know change ${error.migration}, this program does not). Start that version; this one changes nothing`,
      );
    if ((error as { code?: string }).code === '42501')
      throw new HostFailure(
        'the role of DATABASE_URL may not change tables, and they have to be changed. Name one that may (the owner of the database) in DATABASE_OWNER_URL',
      );
    throw error;
  } finally {
    await pool.end();
  }
}

/** Brings a database up to date and, the first time, moves the demo kitchen in. */
export async function prepareDatabase(
  ownerUrl: string,
  root: string,
  serving: string | null = null,
): Promise<void> {
  await migrateDatabase(ownerUrl, root, serving);
  const pool = openPool(ownerUrl, PATIENT);
  try {
    const { bringDemo } = await import('@/server/kitchens');
    if (await bringDemo({ pool, newId: randomUUID, now: () => new Date() }))
      say('The demo kitchen has moved in.');
  } finally {
    await pool.end();
  }
}
