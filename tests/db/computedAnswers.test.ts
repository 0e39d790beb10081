import { randomUUID } from 'node:crypto';
import { computedAnswer, computedAnswers, signatureOf } from '@/server/computedAnswers';
import type { Context } from '@/server/context';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
beforeAll(async () => {
  db = await testDatabase();
});
afterAll(() => db.drop());
beforeEach(async () => {
  here = await db.kitchen();
});

/** An answer that counts how often it was computed. */
function counted(about: string = randomUUID()) {
  let times = 0;
  const wanted = (signature: string) => ({
    about,
    signature,
    compute: () => Promise.resolve({ times: ++times }),
  });
  return { wanted, about };
}

test('an answer is computed once for its signature, and anew for another', async () => {
  const { wanted } = counted();
  expect(await computedAnswer(here, wanted('a'))).toEqual({ times: 1 });
  expect(await computedAnswer(here, wanted('a'))).toEqual({ times: 1 });
  expect(await computedAnswer(here, wanted('b'))).toEqual({ times: 2 });
  expect(signatureOf('a', 1)).not.toBe(signatureOf('a', 2));
  expect(signatureOf('a', 'b')).not.toBe(signatureOf('ab'));
});

test('it is stored: found by whoever never computed it; under another signature it does not count', async () => {
  const { wanted, about } = counted();
  await db.admin.query('insert into computed_answer values ($1, $2, $3, $4)', [
    here.kitchen.id,
    about,
    'a',
    { times: 40 },
  ]);
  expect(await computedAnswer(here, wanted('a'))).toEqual({ times: 40 });
  expect(await computedAnswer(here, wanted('b'))).toEqual({ times: 1 });
  const { rows } = await db.admin.query('select signature, answer from computed_answer where about = $1', [
    about,
  ]);
  expect(rows).toEqual([{ signature: 'b', answer: { times: 1 } }]);
});

test('null is an answer too; what could not be had is left out; a stranger computes for himself', async () => {
  const { wanted } = counted();
  const nothing = { about: randomUUID(), signature: 'a', compute: () => Promise.resolve(null) };
  const gone = AbortSignal.abort();
  expect([...(await computedAnswers<unknown>(here, [nothing, wanted('a')])).values()]).toEqual([
    null,
    { times: 1 },
  ]);
  expect((await computedAnswers<unknown>(here, [wanted('c')], gone)).size).toBe(0);
  expect(await computedAnswer(await db.kitchen(), wanted('a'))).toEqual({ times: 2 });
});

test('what cannot be stored is answered all the same; only what nobody expects is told', async () => {
  const told = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  try {
    for (const [code, times] of [
      ['53100', 0],
      ['57P01', 0],
      ['XX000', 1],
    ] as const) {
      const failing = new Proxy(here.pool, {
        get: (pool, name) =>
          name === 'query'
            ? (query: { text: string }) =>
                query.text.includes('insert into computed_answer')
                  ? Promise.reject(Object.assign(new Error('no'), { code }))
                  : pool.query(query)
            : (Reflect.get(pool, name) as unknown),
      });
      const { wanted, about } = counted();
      expect(await computedAnswer({ ...here, pool: failing }, wanted('a'))).toEqual({ times: 1 });
      expect(told).toHaveBeenCalledTimes(times);
      const { rowCount } = await db.admin.query('select 1 from computed_answer where about = $1', [about]);
      expect(rowCount).toBe(0);
    }
  } finally {
    told.mockRestore();
  }
});
