import type pg from 'pg';
import { keyOf, type Home, type KeyName } from './home';
import type { Lease } from './lease';

/** Owns the tables and changes them when a version does; no superuser. */
export const OWNER = 'crumb_owner';
/** What the application asks as: reads, and adds what may be added. */
export const SERVING = 'crumb_serving';
export const DATABASE = 'crumb';
/** Told to every command that holds a lease when other data have taken the database's place. */
export const RESTORED = 'crumb_restored';

const exists = async (client: pg.Client, sql: string, name: string): Promise<boolean> =>
  (await client.query(sql, [name])).rows.length > 0;
const roleExists = (client: pg.Client, name: string) =>
  exists(client, 'select 1 from pg_roles where rolname = $1', name);
const databaseExists = (client: pg.Client, name: string) =>
  exists(client, 'select 1 from pg_database where datname = $1', name);

/** A superuser's connection to a database of the cluster. */
export type ConnectTo = (database: string) => Promise<pg.Client>;

const quoted = (text: string): string => `'${text.replaceAll("'", "''")}'`;

/** Makes the two roles, or sets them to what they are to be: anything granted to them by hand is taken back. */
async function makeRoles(client: pg.Client, home: Home): Promise<void> {
  for (const [role, key] of [
    [OWNER, 'owner'],
    [SERVING, 'serving'],
  ] as const) {
    if (!(await roleExists(client, role))) await client.query(`create role ${role}`);
    await client.query(
      `alter role ${role} with login nosuperuser nocreatedb nocreaterole noreplication nobypassrls inherit
       password ${quoted(keyOf(home, key))}`,
    );
  }
}

/**
 * Homes of the first versions kept everything in the database `postgres`, owned by the superuser: it takes its own name, and a new
 * `postgres` takes its place. Each step can be the last before a power cut.
 */
async function nameDatabase(client: pg.Client, connectTo: ConnectTo): Promise<void> {
  if (!(await databaseExists(client, DATABASE))) {
    if (await holdsKitchen(client, connectTo)) {
      await client.query(`select pg_terminate_backend(pid) from pg_stat_activity where datname = 'postgres'`);
      await client.query(`alter database postgres rename to ${DATABASE}`);
    } else
      await client.query(`create database ${DATABASE} owner ${OWNER} encoding 'UTF8' template template0`);
  }
  if (!(await databaseExists(client, 'postgres')))
    await client.query('create database postgres template template0');
}

async function holdsKitchen(client: pg.Client, connectTo: ConnectTo): Promise<boolean> {
  if (!(await databaseExists(client, 'postgres'))) return false;
  const inside = await connectTo('postgres');
  try {
    const { rows } = await inside.query<{ here: boolean }>(
      `select to_regclass('public.schema_migration') is not null as here`,
    );
    return rows[0]?.here ?? false;
  } finally {
    await inside.end();
  }
}

async function giveToOwner(client: pg.Client): Promise<void> {
  // a restore that was killed may have left it closed
  await client.query(`alter database ${DATABASE} allow_connections true`);
  await client.query(`alter database ${DATABASE} owner to ${OWNER}`);
}

/**
 * Everything in a database belongs to the owner, and nobody but our two roles may even connect.
 * @param inside a superuser's connection to it
 */
export async function giveTables(inside: pg.Client): Promise<void> {
  await inside.query('begin');
  const { rows: here } = await inside.query<{ name: string }>(
    'select quote_ident(current_database()) as name',
  );
  await inside.query(`revoke all on database ${here[0]?.name} from public`);
  await inside.query(`grant connect on database ${here[0]?.name} to ${SERVING}`);
  await inside.query(`alter schema public owner to ${OWNER}`);
  const { rows } = await inside.query<{ kind: string; name: string }>(
    `select case c.relkind when 'S' then 'sequence' when 'v' then 'view' else 'table' end as kind, c.oid::regclass::text as name
     from pg_class c join pg_namespace n on n.oid = c.relnamespace join pg_roles r on r.oid = c.relowner
     where n.nspname = 'public' and c.relkind in ('r', 'p', 'v', 'S') and r.rolname <> $1
     union all
     select 'function', p.oid::regprocedure::text from pg_proc p join pg_namespace n on n.oid = p.pronamespace
       join pg_roles r on r.oid = p.proowner where n.nspname = 'public' and r.rolname <> $1`,
    [OWNER],
  );
  for (const { kind, name } of rows) await inside.query(`alter ${kind} ${name} owner to ${OWNER}`);
  await inside.query('revoke all on schema public from public');
  await inside.query(`grant usage on schema public to ${SERVING}`);
  await inside.query('commit');
}

export interface Addresses {
  readonly owner: string;
  readonly serving: string;
}

export const addressOf = (home: Home, port: number, user: string, key: KeyName, database: string): string =>
  `postgresql://${user}:${keyOf(home, key)}@127.0.0.1:${port}/${database}`;

export const addressesOf = (home: Home, port: number): Addresses => ({
  owner: addressOf(home, port, OWNER, 'owner', DATABASE),
  serving: addressOf(home, port, SERVING, 'serving', DATABASE),
});

/**
 * Roles and database as they are to be, whatever an earlier version or a killed start left.
 */
export async function makeRolesAndDatabase(home: Home, lease: Lease, connectTo: ConnectTo): Promise<void> {
  // two starters at once: one after the other
  await lease.client.query('select pg_advisory_lock($1)', [ROLES_LOCK]);
  try {
    await makeRoles(lease.client, home);
    await nameDatabase(lease.client, connectTo);
    await giveToOwner(lease.client);
    const inside = await connectTo(DATABASE);
    try {
      await giveTables(inside);
    } finally {
      await inside.end();
    }
  } finally {
    await lease.client.query('select pg_advisory_unlock($1)', [ROLES_LOCK]).catch(() => undefined);
  }
}

const ROLES_LOCK = 720_431_192;
