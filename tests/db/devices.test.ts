import { DEVICE_LIMITS } from '@/core/network/pairedDevice';
import { findKitchen, removeKitchen } from '@/db/queries/kitchens';
import type { Context } from '@/server/context';
import { askCode, deviceOf, devicesNow, pair, withdrawal } from '@/server/devices';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
const clock = { ms: 0 };
beforeAll(async () => {
  db = await testDatabase();
});
afterAll(() => db.drop());
beforeEach(async () => {
  clock.ms = Date.UTC(2026, 10, 19, 5);
  here = await db.kitchen(clock);
  // a wrong guess counts against every open code
  await db.admin.query('update device_code set used_at = now() where used_at is null');
});

async function codeFor(name = 'Tablet', context = here): Promise<string> {
  const made = await askCode(context, { name, may: 'bench' });
  if (!made.ok) throw new Error(JSON.stringify(made));
  expect(made.value.expiresAtMs - clock.ms).toBe(DEVICE_LIMITS.codeMin * 60_000);
  return made.value.code;
}
const keyOf = async (code: string) => (await pair(here, code))?.key ?? null;
const known = (key: string) => deviceOf(db.pool, key, here.now());

test('a code pairs one device, once, within ten minutes; its key says whose it is until it is withdrawn', async () => {
  const code = await codeFor();
  expect(code).toMatch(/^\d{8}$/);
  const [one, two] = await Promise.all([pair(here, code), pair(here, code)]);
  const paired = one ?? two;
  expect([one, two].filter(Boolean)).toHaveLength(1);
  expect(paired).toMatchObject({ address: here.kitchen.address });
  expect(await known(paired!.key)).toMatchObject({ address: here.kitchen.address, may: 'bench' });
  expect(await known('k'.repeat(43))).toBeNull();
  // neither key nor code is anywhere
  const { rows } = await db.admin.query<{ all: string }>('select d::text as all from device d union all select c::text from device_code c');
  expect(rows.map(({ all }) => all).join()).not.toMatch(new RegExp(`${paired!.key}|\\b${code}\\b`));
  const late = await codeFor('Late');
  clock.ms += DEVICE_LIMITS.codeMin * 60_000;
  expect(await keyOf(late)).toBeNull();
  const { devices } = await devicesNow(here);
  expect(devices).toMatchObject([{ name: 'Tablet', may: 'bench', pairedAtMs: Date.UTC(2026, 10, 19, 5), seenAtMs: Date.UTC(2026, 10, 19, 5) }]);
  expect(await withdrawal(await db.kitchen(clock), devices[0]!.id)).toMatchObject({ failure: { kind: 'notFound' } });
  expect(await known(paired!.key)).not.toBeNull();
  for (const _twice of [1, 2]) expect(await withdrawal(here, devices[0]!.id)).toMatchObject({ ok: true });
  expect(await known(paired!.key)).toBeNull();
  expect((await devicesNow(here)).devices).toEqual([]);
}); // prettier-ignore

test('ten wrong guesses end every code that could have been meant; other codes come after it', async () => {
  const [mine, other] = [await codeFor(), await codeFor('Phone', await db.kitchen(clock))];
  const wrong = ['00000000', '00000001', '00000002'].find((each) => each !== mine && each !== other)!;
  for (let guess = 1; guess < DEVICE_LIMITS.wrongGuesses; guess += 1) expect(await keyOf(wrong)).toBeNull();
  expect(await keyOf(mine)).not.toBeNull();
  expect(await keyOf(wrong)).toBeNull();
  expect(await keyOf(other)).toBeNull();
  expect(await keyOf(await codeFor())).not.toBeNull();
});

test('no more codes at once, nor devices, than a kitchen has', async () => {
  for (let count = 0; count < DEVICE_LIMITS.openCodes; count += 1) await codeFor();
  const full = { failure: { problems: [{ code: 'tooMany' }] } };
  expect(await askCode(here, { name: 'One more', may: 'look' })).toMatchObject(full);
  clock.ms += 3_600_000;
  await codeFor();
  const fill = `insert into device select gen_random_uuid(), $1, 'x', 'look', sha256(gen_random_uuid()::text::bytea), now() from generate_series(1, $2)`;
  await db.admin.query(fill, [here.kitchen.id, DEVICE_LIMITS.perKitchen]);
  expect(await askCode(here, { name: 'One more', may: 'look' })).toMatchObject(full);
});

test('seen is written now and then, not each time', async () => {
  const key = (await keyOf(await codeFor()))!;
  const seen = async (afterMs: number) => {
    clock.ms += afterMs;
    await known(key);
    return ((await devicesNow(here)).devices[0]!.seenAtMs! - Date.UTC(2026, 10, 19, 5)) / 60_000;
  };
  expect([await seen(0), await seen(300_000), await seen(360_000)]).toEqual([0, 0, 11]);
});

test('a kitchen goes with its devices: their keys open nothing', async () => {
  const key = (await keyOf(await codeFor()))!;
  await codeFor('Phone');
  expect(await removeKitchen(db.pool, here.kitchen.id)).toBe(true);
  expect([await known(key), await findKitchen(db.pool, here.kitchen.address)]).toEqual([null, null]);
});
