import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import type pg from 'pg';
import { transaction } from './transaction';

/** The database knows a migration that this program does not: it was last used by a newer version. */
export class NewerDatabase extends Error {
  constructor(readonly migration: number) {
    super(
      `The database has migration ${migration}, which this version does not know: it is newer than the program.`,
    );
  }
}

interface Migration {
  readonly id: number;
  readonly file: string;
  readonly sql: string;
  readonly checksum: string;
}

async function readMigrations(folder: string): Promise<Migration[]> {
  const files = (await readdir(folder)).filter((file) => /^\d{6}_.+\.sql$/.test(file)).sort();
  return Promise.all(
    files.map(async (file) => {
      const sql = await readFile(path.join(folder, file), 'utf8');
      return {
        id: Number(file.slice(0, 6)),
        file,
        sql,
        checksum: createHash('sha256').update(sql).digest('hex'),
      };
    }),
  );
}

/** Any number, as long as no other program of ours uses it for something else. */
const MIGRATION_LOCK = 720_431_190;

/**
 * Brings a database to the newest schema. Forward only, one transaction each. Starters that race each other wait in line:
 * an advisory lock, because `create table if not exists` itself fails when two sessions run it at the same moment.
 *
 * @returns the files applied now
 * @throws when an applied migration was edited afterwards, or the database is newer than this program
 */
export async function migrate(pool: pg.Pool, folder: string): Promise<string[]> {
  const migrations = await readMigrations(folder);
  const gate = await pool.connect();
  try {
    await gate.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    return await applyMissing(pool, migrations);
  } finally {
    await gate.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK]).catch(() => undefined);
    gate.release();
  }
}

async function applyMissing(pool: pg.Pool, migrations: readonly Migration[]): Promise<string[]> {
  const { rows: found } = await pool.query<{ here: boolean }>(
    `select to_regclass('schema_migration') is not null as here`,
  );
  // only where it is missing: a role that may not make tables can still find out that none is wanted
  if (!found[0]?.here) {
    await pool.query(
      `create table schema_migration (
         id integer primary key, file text not null, checksum text not null, applied_at timestamptz not null default now())`,
    );
  }
  const { rows } = await pool.query<{ id: number; checksum: string }>(
    'select id, checksum from schema_migration',
  );
  const applied = new Map(rows.map((row) => [row.id, row.checksum]));
  for (const id of applied.keys()) {
    if (!migrations.some((migration) => migration.id === id)) {
      throw new NewerDatabase(id);
    }
  }
  const done: string[] = [];
  for (const migration of migrations) {
    const checksum = applied.get(migration.id);
    if (checksum === migration.checksum) continue;
    if (checksum !== undefined) throw new Error(`${migration.file} was changed after it had been applied.`);
    await transaction(pool, async (client) => {
      await client.query('insert into schema_migration (id, file, checksum) values ($1, $2, $3)', [
        migration.id,
        migration.file,
        migration.checksum,
      ]);
      await client.query(migration.sql);
    });
    done.push(migration.file);
  }
  return done;
}
