import * as z from 'zod';
import { databaseFailure } from '@/db/errors';
import { many, maybeOne, one } from '@/db/rows';
import { transaction } from '@/db/transaction';
import { openPool } from '@/db/pool';
import { testDatabase, type TestDatabase } from './testDatabase';

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
  expect(databaseFailure(new Error('Connection terminated unexpectedly'))).toBe('unavailable');
});
