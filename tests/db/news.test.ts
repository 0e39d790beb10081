import { randomUUID } from 'node:crypto';
import { eightRolls } from '@/core/batch/testBatch';
import { EMPTY_DAY } from '@/core/day/dayDocument';
import { plainLoaf } from '@/core/formula/testFormulas';
import { listen } from '@/db/listening';
import { recordTaps, startBake } from '@/server/bakes';
import { saveDay } from '@/server/day';
import { createFormula } from '@/server/formulas';
import { newsStream } from '@/server/news';
import { clusterUrl, testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
beforeAll(async () => {
  db = await testDatabase();
});
afterAll(() => db.drop());

/** Listens as one server process does. */
function listener() {
  const heard: string[] = [];
  let told: () => void = () => undefined;
  const stop = listen(() => clusterUrl('SERVING', db.name), {
    notice: (payload) => (heard.push(payload), told()),
    heard: (is) => (heard.push(is ? 'listening' : 'deaf'), told()),
  });
  const until = async (what: string, count = 1): Promise<void> => {
    while (heard.filter((each) => each === what).length < count)
      await new Promise<void>((resolve) => (told = resolve));
  };
  return { heard, until, stop };
}

async function bakeUnderWay() {
  const here = await db.kitchen();
  const formula = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!formula.ok) throw new Error('no formula');
  const bake = await startBake(here, { requestId: randomUUID(), formulaId: formula.value.id, revision: 1, batch: eightRolls });
  if (!bake.ok) throw new Error('no bake');
  return { here, id: bake.value.id };
} // prettier-ignore

test('two processes hear of a bake and its taps once each, not of what was refused, and hear again after the database hung up on them', async () => {
  const [one, two] = [listener(), listener()];
  await Promise.all([one.until('listening'), two.until('listening')]);
  const { here, id } = await bakeUnderWay();
  const notes = Array.from({ length: 3 }, (_, at) => ({ eventId: randomUUID(), agoMs: 0, action: { type: 'noted' as const, text: `${at}` } }));
  await recordTaps(here, id, notes);
  // told already: nothing is new by it
  await recordTaps(here, id, notes);
  await saveDay(here, { requestId: randomUUID(), seen: 0, day: EMPTY_DAY });
  await Promise.all([one, two].map(({ until }) => until(`day ${here.kitchen.id}`)));
  for (const { heard } of [one, two])
    expect(heard).toEqual(['listening', `bake ${id}`, `bake ${id}`, `day ${here.kitchen.id}`]);
  await db.admin.query(`select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'honest-crumb news' and datname = $1`, [db.name]);
  await Promise.all([one, two].map(({ until }) => until('listening', 2)));
  await recordTaps(here, id, [{ eventId: randomUUID(), agoMs: 0, action: { type: 'noted', text: 'After' } }]);
  await Promise.all([one, two].map(({ until }) => until(`bake ${id}`, 3)));
  expect(two.heard.slice(4)).toEqual(['deaf', 'listening', `bake ${id}`]);
  one.stop();
  two.stop();
}); // prettier-ignore

test('a page hears it on its stream, and the database is let go when the last page is gone', async () => {
  process.env.DATABASE_URL = clusterUrl('SERVING', db.name);
  const gone = new AbortController();
  const reader = newsStream(gone.signal).pipeThrough(new TextDecoderStream() as never).getReader() as ReadableStreamDefaultReader<string>;
  let text = '';
  const until = async (what: string): Promise<void> => {
    while (!text.includes(what)) text += (await reader.read()).value ?? '';
  };
  await until('data: {"of":"hearing","is":true}\n\n');
  const { id } = await bakeUnderWay();
  await until(`data: {"of":"bake","id":"${id}"}\n\n`);
  gone.abort();
  expect((await reader.read()).done).toBe(true);
  const listening = async () => (await db.admin.query(`select 1 from pg_stat_activity where application_name = 'honest-crumb news' and datname = $1`, [db.name])).rowCount;
  while ((await listening()) !== 0);
  // and the next page finds it again
  const next = newsStream(new AbortController().signal).getReader();
  for (let heard = ''; !heard.includes('"is":true'); ) heard += new TextDecoder().decode((await next.read()).value);
  await next.cancel();
}); // prettier-ignore
