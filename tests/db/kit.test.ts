import { randomUUID } from 'node:crypto';
import { ORDINARY_KIT, type Kit } from '@/core/kit';
import type { Context } from '@/server/context';
import { rollsWithMethod } from '@/core/run/testRuns';
import { createFormula } from '@/server/formulas';
import { loadKit, saveKit } from '@/server/kit';
import { formulaSlices } from '@/server/slices';
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

const warmer = (roomC: number): Kit => ({ ...ORDINARY_KIT, roomC });
const keep = (kit: Kit, seen: number, requestId: string = randomUUID()) =>
  saveKit(here, { requestId, seen, kit });

test('a kitchen of which nothing is known is ordinary, at its own altitude', async () => {
  const { version, kit } = await loadKit(here);
  expect(version).toBe(0);
  expect(kit).toEqual(ORDINARY_KIT);
});

test('the kit is saved in versions; of two writers one is told, a repetition changes nothing, no other kitchen sees it', async () => {
  const requestId = randomUUID();
  const thrice = await Promise.all([0, 0, 0].map(() => keep(warmer(23), 0, requestId)));
  expect(thrice.map((answer) => answer.ok && answer.value.version)).toEqual([1, 1, 1]);
  const both = await Promise.all([keep(warmer(18), 1), keep(warmer(30), 1)]);
  expect(both.filter((answer) => answer.ok)).toHaveLength(1);
  expect(both.find((answer) => !answer.ok)).toMatchObject({ failure: { kind: 'stale', revision: 2 } });
  expect(await keep(warmer(10), 0)).toMatchObject({ ok: false, failure: { kind: 'stale', revision: 2 } });
  const won = both.find((answer) => answer.ok);
  expect((await loadKit(here)).kit).toEqual(won?.ok && won.value.kit);
  await expect(db.admin.query('update kitchen_kit set version = 9')).rejects.toThrow(/append-only/);
  expect((await loadKit(await db.kitchen())).version).toBe(0);
});

test('a save repeated while the first is under way is never told that somebody else was faster', async () => {
  for (let round = 0; round < 25; round++) {
    const requestId = randomUUID();
    const answers = await Promise.all(
      Array.from({ length: 6 }, () => keep(warmer(20 + (round % 5)), round, requestId)),
    );
    expect(answers.map((answer) => answer.ok && answer.value.version)).toEqual(Array(6).fill(round + 1));
  }
});

test('a request id that came with another kit is refused', async () => {
  const requestId = randomUUID();
  await keep(warmer(23), 0, requestId);
  expect(await keep(warmer(24), 0, requestId)).toMatchObject({ failure: { kind: 'otherContent' } });
  expect(await keep(warmer(23), 1, requestId)).toMatchObject({ failure: { kind: 'otherContent' } });
});

test('marks: one for each formula, the same when asked again, another when the kit is another', async () => {
  const made = await createFormula(here, { requestId: randomUUID(), formula: rollsWithMethod() });
  const raw = await createFormula(here, {
    requestId: randomUUID(),
    formula: { ...rollsWithMethod(), name: 'No method', steps: [] },
  });
  if (!made.ok || !raw.ok) throw new Error('not saved');
  const ids = [made.value.id, raw.value.id];
  const marks = await formulaSlices(here, ids);
  expect(marks[made.value.id]).toMatchObject({ shape: 'roll' });
  expect(marks[raw.value.id]).toBeNull();
  expect(await formulaSlices(here, ids)).toEqual(marks);
  expect(await formulaSlices(await db.kitchen(), ids)).toEqual({});
  await keep({ ...ORDINARY_KIT, altitudeM: 2500 }, 0);
  expect((await formulaSlices(here, [made.value.id]))[made.value.id]).not.toEqual(marks[made.value.id]);
});

test('marks: a copy, and a kit that differs where the formula never looks, simulate nothing again', async () => {
  const made = await createFormula(here, {
    requestId: randomUUID(),
    formula: { ...rollsWithMethod(), name: 'Rolls at 20 °C' },
  });
  const kit = { ...ORDINARY_KIT, roomC: 20.3 };
  await keep(kit, 0);
  if (!made.ok) throw new Error('not saved');
  const ids = [made.value.id];
  const [first, beside] = await Promise.all([formulaSlices(here, ids), formulaSlices(here, ids)]);
  const slice = first[made.value.id];
  expect(slice).toMatchObject({ shape: 'roll' });
  // not only as good: the very answer
  expect(beside[made.value.id]).toBe(slice);
  const copy = await createFormula(here, {
    requestId: randomUUID(),
    formula: { ...rollsWithMethod(), name: 'The same again' },
  });
  if (!copy.ok) throw new Error('not saved');
  await keep({ ...kit, fridgeC: 3 }, 1);
  const marks = await formulaSlices(here, [...ids, copy.value.id]);
  expect(marks[copy.value.id]).toBe(slice);
  expect(marks[made.value.id]).toBe(slice);
  // one who has left is not computed for
  await keep({ ...kit, roomC: 17.1 }, 2);
  expect(await formulaSlices(here, ids, AbortSignal.abort())).toEqual({});
  expect((await formulaSlices(here, [made.value.id]))[made.value.id]).not.toEqual(slice);
});
