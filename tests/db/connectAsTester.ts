import pg from 'pg';
import { clusterUrl } from './testDatabase';

/** One superuser's connection to a database of the test cluster. */
export async function connectAsTester(database: string): Promise<pg.Client> {
  const client = new pg.Client({ connectionString: clusterUrl('DATABASE', database) });
  await client.connect();
  return client;
}
