import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { openPool, PATIENT } from '@/db/pool';
import { prepareDatabase } from '@/host/prepare';
import { giveTables, SERVING } from '@/host/roles';

/** A new database in the test cluster with the demo kitchen in it; `url` is the serving role's. */
export async function freshDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const name = `demo_${randomUUID().replaceAll('-', '')}`;
  const admin = openPool(testCluster('DATABASE'), PATIENT);
  await admin.query(`create database ${name} owner crumb_owner template template0`);
  const named = (url: string) => url.replace(/\/[^/]*$/, `/${name}`);
  const inside = new pg.Client({ connectionString: named(testCluster('DATABASE')) });
  await inside.connect();
  await giveTables(inside);
  await inside.end();
  await prepareDatabase(named(testCluster('OWNER')), process.cwd(), SERVING);
  return {
    url: named(testCluster('SERVING')),
    drop: async () => {
      await admin.query(`drop database if exists ${name} with (force)`);
      await admin.end();
    },
  };
}

/** The test cluster's address for one of its roles. */
export function testCluster(role: 'DATABASE' | 'OWNER' | 'SERVING'): string {
  const url = process.env[`CRUMB_TEST_${role}`];
  if (!url) throw new Error(`CRUMB_TEST_${role} is not set: this is run by ./crumb`);
  return url;
}
