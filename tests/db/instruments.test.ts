import { randomUUID } from 'node:crypto';
import { joined, windowsOf, type ReadingWindow } from '@/core/instrument/readingWindow';
import { judgeReadings, LATE_MS } from '@/core/instrument/telling';
import { seededRandom } from '@/core/numeric/seededRandom';
import { findKitchen, removeKitchen } from '@/db/queries/kitchens';
import type { Context } from '@/server/context';
import { addInstrument, instrumentsNow, take, withdraw } from '@/server/instruments';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
beforeAll(async () => {
  db = await testDatabase();
});
afterAll(() => db.drop());

const keyOf = (seed: number) => `${seed}`.padEnd(43, 'k');

async function added(here: Context, seed: number, kind: 'scale' | 'coreProbe' = 'scale'): Promise<string> {
  const made = await addInstrument(here, { requestId: randomUUID(), name: `No. ${seed}`, kind, stepG: kind === 'scale' ? 1 : null, key: keyOf(seed) });
  if (!made.ok) throw new Error(JSON.stringify(made));
  return made.value.id;
} // prettier-ignore

const tell = async (here: Context, seed: number, readings: unknown[], tellingId: string = randomUUID()) =>
  take(db.pool, keyOf(seed), { tellingId, readings }, here.now());

async function saved(id: string) {
  const { rows } = await db.admin.query<Record<string, unknown>>(
    `select starts_at, readings, least, most, total, unsure, last_at, last_value, last_state from instrument_window
     where instrument_id = $1 order by starts_at`,
    [id],
  );
  return rows.map((row): ReadingWindow => ({
    startsAtMs: (row.starts_at as Date).getTime(),
    count: row.readings as number,
    least: row.least as number | null,
    most: row.most as number | null,
    total: Math.round((row.total as number) * 1e6) / 1e6,
    unsure: row.unsure as number,
    last: { atMs: (row.last_at as Date).getTime(), value: row.last_value as number, state: row.last_state as 'steady' },
  }));
} // prettier-ignore

test('adding one is one wish: the same again is the same, another under its id is refused, and so is a key that is somebody’s', async () => {
  const here = await db.kitchen();
  const wish = { requestId: randomUUID(), name: 'Scale', kind: 'scale' as const, stepG: 0.1 as const, key: keyOf(1) };
  const [one, two] = await Promise.all([addInstrument(here, wish), addInstrument(here, wish)]);
  expect(one).toEqual(two);
  expect(one.ok).toBe(true);
  const other = { ok: false, failure: { kind: 'otherContent' } };
  expect(await addInstrument(here, { ...wish, key: keyOf(99) })).toEqual(other);
  expect(await addInstrument(here, { ...wish, stepG: 1 })).toEqual(other);
  expect(await addInstrument(here, { ...wish, requestId: randomUUID() })).toEqual(other);
  // the key is nowhere
  const { rows } = await db.admin.query<{ all: string }>(`select i::text as all from instrument i`);
  expect(rows.map(({ all }) => all).join()).not.toContain(keyOf(1));
  const { rows: counted } = await db.admin.query(
    'insert into instrument select gen_random_uuid(), kitchen_id, gen_random_uuid(), name, kind, step_g, sha256(gen_random_uuid()::text::bytea), added_at from instrument i, generate_series(1, 59) where kitchen_id = $1 returning 1',
    [here.kitchen.id],
  );
  expect(counted).toHaveLength(59);
  expect(
    await addInstrument(here, { ...wish, requestId: randomUUID(), key: keyOf(98) }),
  ).toMatchObject({ failure: { problems: [{ code: 'tooMany', params: { max: 60 } }] } });
}); // prettier-ignore

test('what tells twelve times at once, late, mixed up and twice, comes to what the core makes of all of it', async () => {
  const clock = { ms: Date.UTC(2026, 10, 19, 5) };
  const here = await db.kitchen(clock);
  const id = await added(here, 2, 'coreProbe');
  const random = seededRandom(11);
  const tellings = Array.from({ length: 12 }, () => ({
    tellingId: randomUUID(),
    readings: Array.from({ length: 25 }, () =>
      random() < 0.1
        ? { agoMs: 0, value: 5000 }
        : {
            agoMs: Math.floor(random() * 40_000),
            value: Math.round(random() * 1000) / 10,
            state: random() < 0.1 ? 'fault' : 'steady',
          },
    ),
  }));
  const twice = [...tellings, ...tellings].sort(() => random() - 0.5);
  const answers = await Promise.all(twice.map((each) => tell(here, 2, each.readings, each.tellingId)));
  const judged = tellings.map(({ readings }) => judgeReadings('coreProbe', readings, clock.ms));
  for (const [at, each] of twice.entries()) {
    const { taken, refused } = judged[tellings.indexOf(each)]!;
    expect(answers[at]).toEqual({ ok: true, value: { taken: taken.length, refused } });
  }
  const wanted = windowsOf(judged.flatMap(({ taken }) => taken));
  const rounded = wanted.map((each) => ({ ...each, total: Math.round(each.total * 1e6) / 1e6 }));
  expect(await saved(id)).toEqual(rounded);
  expect(joined(wanted[0]!, wanted[0]!).count).toBe(2 * wanted[0]!.count);
});

test('sent again later it is the same telling, how long ago it was said anew; something else under its id is refused', async () => {
  const clock = { ms: Date.UTC(2026, 10, 19, 5) };
  const here = await db.kitchen(clock);
  const id = await added(here, 3);
  const tellingId = randomUUID();
  const first = await tell(here, 3, [{ agoMs: 100, value: 412 }, 'x'], tellingId);
  clock.ms += 60_000;
  expect(await tell(here, 3, [{ agoMs: 60_100, value: 412 }, 'x'], tellingId)).toEqual(first);
  expect(await tell(here, 3, [{ agoMs: 100, value: 413 }, 'x'], tellingId)).toEqual({ ok: false, failure: { kind: 'otherContent' } });
  expect((await saved(id)).map(({ count }) => count)).toEqual([1]);
  // of yesterday: counted as late, and nothing shows it
  expect(await tell(here, 3, [{ agoMs: LATE_MS + 1, value: 1 }])).toMatchObject({ value: { taken: 0, refused: { late: 1 } } });
  // what was buffered comes after what is newer: the newest is shown
  await tell(here, 3, [{ agoMs: 0, value: 500 }]);
  await tell(here, 3, [{ agoMs: 30_000, value: 450 }]);
  const { instruments } = await instrumentsNow(here);
  expect(instruments).toMatchObject([{ id, kind: 'scale', last: { value: 500, atMs: clock.ms, state: 'steady' } }]);
}); // prettier-ignore

test('a key that was withdrawn opens nothing, nobody’s key neither; what it told goes with its kitchen', async () => {
  const here = await db.kitchen();
  const id = await added(here, 4);
  await tell(here, 4, [{ agoMs: 0, value: 1 }]);
  expect(await take(db.pool, keyOf(55), { tellingId: randomUUID(), readings: [1] }, here.now())).toBeNull();
  const there = await db.kitchen();
  expect(await withdraw(there, id)).toEqual({ ok: false, failure: { kind: 'notFound' } });
  expect((await withdraw(here, id)).ok).toBe(true);
  expect((await withdraw(here, id)).ok).toBe(true);
  expect(await tell(here, 4, [{ agoMs: 0, value: 2 }])).toBeNull();
  expect((await instrumentsNow(here)).instruments).toEqual([]);
  expect(await saved(id)).toHaveLength(1);
  expect(await removeKitchen(db.pool, here.kitchen.id)).toBe(true);
  expect(await saved(id)).toEqual([]);
  expect(await findKitchen(db.pool, here.kitchen.address)).toBeNull();
});
