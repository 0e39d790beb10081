import { randomUUID } from 'node:crypto';
import { EMPTY_DAY } from '@/core/day/dayDocument';
import { ORDINARY_LIFE } from '@/core/day/lifeDocument';
import { NO_STARTERS } from '@/core/starter/starterDocument';
import { fed, starter, told } from '@/core/starter/testStarters';
import type { Context } from '@/server/context';
import { feedsOn, loadStarters, saveStarters } from '@/server/starters';
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

const kept = { starters: [starter(told([0, fed(25, 50, 50)]))] };

test('starters are saved in versions: a repetition is one, who has not seen the newest is told, no other kitchen sees them', async () => {
  expect(await loadStarters(here)).toEqual({ version: 0, value: NO_STARTERS });
  const requestId = randomUUID();
  const twice = await Promise.all([1, 2].map(() => saveStarters(here, { requestId, seen: 0, starters: kept })));
  expect(twice.map((answer) => answer.ok && answer.value.version)).toEqual([1, 1]);
  expect(await saveStarters(here, { requestId: randomUUID(), seen: 0, starters: NO_STARTERS })).toMatchObject({ ok: false, failure: { kind: 'stale', revision: 1 } });
  expect(await loadStarters(here)).toEqual({ version: 1, value: kept });
  expect((await loadStarters(await db.kitchen())).value).toEqual(NO_STARTERS);
  await expect(db.admin.query('delete from kitchen_starters')).rejects.toThrow(/append-only/);
}); // prettier-ignore

test('what cannot be read is set aside, and the one before stands in for it', async () => {
  await saveStarters(here, { requestId: randomUUID(), seen: 0, starters: kept });
  await db.admin.query(
    `insert into kitchen_starters (kitchen_id, version, request_id, starters, saved_at, schema_version) values ($1, 2, $2, '{"starters": 7}', now(), 1)`,
    [here.kitchen.id, randomUUID()],
  );
  expect(await loadStarters(here)).toMatchObject({ version: 2, value: kept, setAside: { kind: 'starters' } });
});

test('a feed is due beside the kitchen’s hours: not while it sleeps', () => {
  const fedMs = kept.starters[0]!.log[0]!.atMs;
  // fed at two in the morning, a day later it is due in the night again
  const night = { starters: [{ ...kept.starters[0]!, log: [{ ...kept.starters[0]!.log[0]!, atMs: fedMs - 6 * 3_600_000 }] }] };
  const now = () => new Date(fedMs + 10 * 3_600_000);
  const [feed] = feedsOn({ kitchen: here.kitchen, now }, night, ORDINARY_LIFE, EMPTY_DAY);
  expect(feed).toMatchObject({ name: 'Mildred', nobody: false, feed: { dueMs: fedMs + 18 * 3_600_000 } });
  const clock = new Intl.DateTimeFormat('en-GB', { timeZone: here.kitchen.details.timeZone, hour: '2-digit', minute: '2-digit' }).format(feed!.atMs);
  expect(clock >= '06:00' && clock < '22:30').toBe(true);
}); // prettier-ignore
