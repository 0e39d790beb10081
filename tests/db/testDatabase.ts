import { randomUUID } from 'node:crypto';
import type pg from 'pg';
import { PLAIN_WAYS, type KitchenDetails } from '@/core/kit';
import { openPool, PATIENT } from '@/db/pool';
import { insertKitchen } from '@/db/queries/kitchens';
import { SERVING } from '@/host/roles';
import { contextIn, type Context } from '@/server/context';

/** A worker of ./crumb mutate has one of its own. */
export const TEMPLATE = `crumb_template${process.env.STRYKER_MUTATOR_WORKER ?? ''}`;

type Role = 'DATABASE' | 'OWNER' | 'SERVING';

/** The test cluster, made and started by ./crumb test, as one of its roles. Its databases come and go; nobody's data is in it. */
export function clusterUrl(role: Role, database = 'postgres'): string {
  const url = process.env[`CRUMB_TEST_${role}`];
  if (!url) throw new Error(`CRUMB_TEST_${role} is not set: run the database tests with ./crumb test`);
  return url.replace(/\/[^/]*$/, `/${database}`);
}

const details: KitchenDetails = {
  name: 'Test kitchen',
  about: '',
  timeZone: 'UTC',
  ...PLAIN_WAYS,
};

export interface TestDatabase {
  /** The serving role's: the application's tests have no more rights than the application. */
  readonly pool: pg.Pool;
  /** The superuser's: for what a test does to the database, not through the application. */
  readonly admin: pg.Pool;
  readonly name: string;
  /** A use case's context in a kitchen of its own, with a clock that stands where it is put. */
  readonly kitchen: (clock?: { ms: number }) => Promise<Context>;
  /** The same kitchen as another request finds it. */
  readonly sameKitchen: (context: Context) => Context;
  readonly drop: () => Promise<void>;
}

/** A fresh database with the newest schema, cloned from the template in a blink. */
export async function testDatabase({ empty = false } = {}): Promise<TestDatabase> {
  const name = `t_${randomUUID().replaceAll('-', '')}`;
  const cluster = openPool(clusterUrl('DATABASE'), PATIENT);
  await cluster.query(`create database ${name} owner crumb_owner template ${empty ? 'template0' : TEMPLATE}`);
  // rights to a database itself are not cloned with it
  await cluster.query(
    `revoke all on database ${name} from public; grant connect on database ${name} to ${SERVING}`,
  );
  const pool = openPool(clusterUrl('SERVING', name));
  const admin = openPool(clusterUrl('DATABASE', name), PATIENT);
  return {
    pool,
    admin,
    name,
    kitchen: async (clock = { ms: Date.UTC(2026, 10, 19, 5) }) => {
      const id = randomUUID();
      const kitchen = await insertKitchen(pool, { id, address: id, details });
      // what is done afterwards is tested by calling it
      const afterwards = () => undefined;
      return contextIn(pool, kitchen, { now: () => new Date(clock.ms), newId: randomUUID, afterwards });
    },
    sameKitchen: (context) => contextIn(pool, context.kitchen, context),
    drop: async () => {
      await pool.end();
      await admin.end();
      await cluster.query(`drop database ${name} with (force)`);
      await cluster.end();
    },
  };
}
