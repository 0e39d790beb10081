import { randomUUID } from 'node:crypto';
import { openPool } from '@/db/pool';
import { prepareDatabase } from './prepareDatabase';

/** A new database in the test cluster with the demo kitchen in it. */
export async function freshDatabase(clusterUrl: string): Promise<{ url: string; drop: () => Promise<void> }> {
  const name = `demo_${randomUUID().replaceAll('-', '')}`;
  const admin = openPool(clusterUrl);
  await admin.query(`create database ${name}`);
  const url = clusterUrl.replace(/\/[^/]*$/, `/${name}`);
  await prepareDatabase(url, process.cwd());
  return {
    url,
    drop: async () => {
      await admin.query(`drop database if exists ${name} with (force)`);
      await admin.end();
    },
  };
}

export function testCluster(): string {
  const url = process.env.CRUMB_TEST_DATABASE;
  if (!url) throw new Error('CRUMB_TEST_DATABASE is not set: this is run by ./crumb');
  return url;
}
