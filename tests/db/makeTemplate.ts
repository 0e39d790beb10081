import { migrate } from '../../src/db/migrate';
import { openPool, PATIENT } from '../../src/db/pool';
import { grantServing } from '../../src/db/serving';
import { giveTables, OWNER, SERVING } from '../../src/host/roles';
import { connectAsTester } from './connectAsTester';
import { clusterUrl, TEMPLATE } from './testDatabase';

/** Before the database tests: one database with all migrations and the rights of both roles, for every test file to clone. */
export default async function makeTemplate(): Promise<void> {
  // a worker of ./crumb mutate runs the tests a thousand times: the schema is what it was before the first fault
  if (process.env.CRUMB_MUTATE && process.env.CRUMB_TEMPLATE === TEMPLATE) return;
  const admin = openPool(clusterUrl('DATABASE'), PATIENT);
  await admin.query(`drop database if exists ${TEMPLATE} with (force)`);
  await admin.query(`create database ${TEMPLATE} owner ${OWNER} template template0`);
  await admin.end();
  const inside = await connectAsTester(TEMPLATE);
  await giveTables(inside);
  await inside.end();
  const owner = openPool(clusterUrl('OWNER', TEMPLATE), PATIENT);
  await migrate(owner, 'src/db/migrations');
  await grantServing(owner, SERVING);
  await owner.end();
  process.env.CRUMB_TEMPLATE = TEMPLATE;
}
