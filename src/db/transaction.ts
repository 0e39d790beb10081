import type pg from 'pg';
import { databaseFailure } from './errors';

/** Runs `work` in one transaction: committed when it returns, rolled back when it throws. */
export async function transaction<T>(pool: pg.Pool, work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await pool.connect();
  let broken: Error | undefined;
  try {
    await client.query('begin');
    const result = await work(client);
    await client.query('commit');
    return result;
  } catch (error) {
    // a connection that does not answer would not answer this either: it is thrown away, and its end rolls back
    if (databaseFailure(error) === 'unavailable') broken = error as Error;
    else
      await client.query('rollback').catch((failure: Error) => {
        broken = failure;
      });
    throw error;
  } finally {
    // a connection that could not even roll back is thrown away, not handed to the next request
    client.release(broken);
  }
}
