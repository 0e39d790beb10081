import * as z from 'zod';
import { databaseFailure } from '@/db/errors';
import { many, maybeOne, one } from '@/db/rows';
import { transaction } from '@/db/transaction';
import { closePool, openPool, PATIENT, pool } from '@/db/pool';
import { clusterUrl, testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
beforeAll(async () => {
  db = await testDatabase();
  await db.admin.query('create table thing (id integer primary key, word text not null)');
});
afterAll(() => db.drop());
beforeEach(() => db.admin.query("truncate thing; insert into thing values (1, 'a'), (2, 'b')"));

const row = z.object({ id: z.number(), word: z.string() });
const all = { text: 'select id, word from thing where id <= $1 order by id', row };

test('a helper promises how many rows there are, and keeps its promise', async () => {
  expect(await many(db.admin, all, [2])).toEqual([
    { id: 1, word: 'a' },
    { id: 2, word: 'b' },
  ]);
  expect(await one(db.admin, all, [1])).toEqual({ id: 1, word: 'a' });
  expect(await maybeOne(db.admin, all, [0])).toBeNull();
  await expect(one(db.admin, all, [0])).rejects.toThrow('Expected one row, got none');
  await expect(maybeOne(db.admin, all, [2])).rejects.toThrow('Expected at most one row, got 2');
  await expect(many(db.admin, { text: 'select id from thing where id < $1', row }, [9])).rejects.toThrow(
    /word/,
  );
});

test('a transaction that throws leaves nothing, and hands its connection back sound', async () => {
  const failing = transaction(db.admin, async (client) => {
    await client.query("insert into thing values (3, 'c')");
    throw new Error('no');
  });
  await expect(failing).rejects.toThrow('no');
  expect(await many(db.admin, all, [9])).toHaveLength(2);
  expect(await transaction(db.admin, (client) => many(client, all, [9]))).toHaveLength(2);
  expect(db.admin.waitingCount).toBe(0);
});

test('what a transaction does is seen by others once it is over, all at once', async () => {
  await transaction(db.admin, async (client) => {
    await client.query("insert into thing values (3, 'c')");
    await client.query("insert into thing values (4, 'd')");
    expect(await many(client, all, [9])).toHaveLength(4);
    expect(await many(db.admin, all, [9])).toHaveLength(2);
  });
  expect(await many(db.admin, all, [9])).toHaveLength(4);
});

test('a connection that broke in the middle is thrown away; one whose statement failed is used again', async () => {
  const few = openPool(clusterUrl('DATABASE', db.name), PATIENT);
  const backend = async () =>
    (await few.query<{ pid: number }>('select pg_backend_pid() as pid')).rows[0]!.pid;
  const first = await backend();
  await expect(transaction(few, (client) => client.query('select 1 / 0'))).rejects.toThrow(/zero/);
  expect([await backend(), few.totalCount]).toEqual([first, 1]);
  const cut = transaction(few, async (client) => {
    await client.query("insert into thing values (3, 'c')");
    await db.admin.query('select pg_terminate_backend($1)', [first]);
    await client.query('select 1');
  });
  expect(await cut.then(() => 'none', databaseFailure)).toBe('unavailable');
  expect(few.totalCount).toBe(0);
  // a session that cannot roll back, whatever it failed of, is not handed to the next one either
  const second = await backend();
  const stuck = transaction(few, async (client) => {
    // it dies while nothing is asked of it
    const ended = new Promise((resolve) => client.once('end', resolve));
    await db.admin.query('select pg_terminate_backend($1)', [second]);
    await ended;
    throw new Error('no');
  });
  await expect(stuck).rejects.toThrow('no');
  expect(await backend()).not.toBe(second);
  expect(await many(few, all, [9])).toHaveLength(2);
  await few.end();
});

test('the application’s pool is opened at first use, again where the address has changed, and closed in time', async () => {
  const before = process.env.DATABASE_URL;
  try {
    delete process.env.DATABASE_URL;
    expect(() => pool()).toThrow('DATABASE_URL is not set; start the application with ./crumb start');
    await closePool(10);
    process.env.DATABASE_URL = clusterUrl('DATABASE', db.name);
    const first = pool();
    expect(pool()).toBe(first);
    const { rows } = await first.query("select current_database() as name, current_setting('application_name') as by, current_setting('statement_timeout') as patience"); // prettier-ignore
    expect(rows).toEqual([{ name: db.name, by: 'honest-crumb', patience: '3700ms' }]);
    process.env.DATABASE_URL = clusterUrl('DATABASE');
    const second = pool();
    expect(second).not.toBe(first);
    await expect(first.query('select 1')).rejects.toThrow(/after calling end/);
    expect((await second.query('select current_database() as name')).rows).toEqual([{ name: 'postgres' }]);
    // one that is in use does not end by being asked: nobody waits for it
    const holding = await second.connect();
    await closePool(10);
    await expect(second.query('select 1')).rejects.toThrow(/after calling end/);
    holding.release();
  } finally {
    if (before === undefined) delete process.env.DATABASE_URL;
    else process.env.DATABASE_URL = before;
  }
});

test('a number that does not fit is refused, not rounded', async () => {
  expect((await db.admin.query('select 9007199254740991::bigint as n')).rows).toEqual([
    { n: Number.MAX_SAFE_INTEGER },
  ]);
  await expect(db.admin.query('select 9007199254740993::bigint as n')).rejects.toThrow(
    'A bigint does not fit: 9007199254740993',
  );
});

test('failures are told apart by what can be done about them', async () => {
  const failureOf = (work: Promise<unknown>) => work.then(() => 'none', databaseFailure);
  expect(await failureOf(db.admin.query("insert into thing values (1, 'again')"))).toBe('duplicate');
  expect(await failureOf(db.admin.query('select nonsense'))).toBe('other');
  const gone = openPool('postgresql://nobody@127.0.0.1:1/nowhere');
  expect(await failureOf(gone.query('select 1'))).toBe('unavailable');
  await gone.end();
  expect(databaseFailure({ code: '53100' })).toBe('full');
  expect(databaseFailure({ code: '57P01' })).toBe('unavailable');
  // a session that the server could not even begin, with a full disk under it, is no bug of the statement; a wrong password is none of its making
  expect(databaseFailure({ code: 'XX000', severity: 'FATAL', routine: 'write_item' })).toBe('unavailable');
  expect(databaseFailure({ code: 'XX000', severity: 'ERROR' })).toBe('other');
  expect(databaseFailure({ code: '28P01', severity: 'FATAL' })).toBe('other');
  expect(databaseFailure({ code: '28P01', severity: 'PANIC' })).toBe('other');
  expect(databaseFailure({ code: 'XX001', severity: 'PANIC' })).toBe('unavailable');
  for (const words of [
    'Connection terminated unexpectedly',
    'timeout exceeded when trying to connect',
    'Query read timeout',
  ])
    expect(databaseFailure(new Error(words))).toBe('unavailable');
  // whatever may be thrown, and has nothing of an error
  for (const thrown of [
    null,
    undefined,
    'ECONNRESET',
    57,
    {},
    new Error('no'),
    { message: 'Query read timeout' },
  ])
    expect(databaseFailure(thrown)).toBe('other');
});
