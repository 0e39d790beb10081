import { migrate } from '../../src/db/migrate';
import { openPool } from '../../src/db/pool';
import { clusterUrl, TEMPLATE } from './testDatabase';

/** Before the database tests: one database with all migrations, for every test file to clone. */
export default async function makeTemplate(): Promise<void> {
  const admin = openPool(clusterUrl());
  await admin.query(`drop database if exists ${TEMPLATE} with (force)`);
  await admin.query(`create database ${TEMPLATE}`);
  await admin.end();
  const pool = openPool(clusterUrl(TEMPLATE));
  await migrate(pool, 'src/db/migrations');
  await pool.end();
}
