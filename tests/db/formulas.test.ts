import { randomUUID } from 'node:crypto';
import { plainLoaf } from '@/core/formula/testFormulas';
import {
  archiveFormula,
  createFormula,
  duplicateFormula,
  loadFormula,
  loadFormulaJson,
  loadRevisions,
  saveFormula,
} from '@/server/formulas';
import type { Context } from '@/server/context';
import { shelf } from './lists';
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

async function made(context = here, name = 'Plain loaf'): Promise<string> {
  const created = await createFormula(context, {
    requestId: randomUUID(),
    formula: { ...plainLoaf(), name },
  });
  if (!created.ok) throw new Error('not created');
  return created.value.id;
}
const save = (id: string, seen: number, name: string, requestId = randomUUID(), context = here) =>
  saveFormula(context, { id, seen, requestId, formula: { ...plainLoaf(), name } });

test('a formula comes back as it was saved, and every save is a revision', async () => {
  const id = await made();
  expect((await loadFormula(here, id))?.formula).toEqual(plainLoaf());
  expect(await save(id, 1, 'Second')).toMatchObject({ ok: true, value: { revision: 2 } });
  expect(await save(id, 2, 'Third')).toMatchObject({ ok: true, value: { revision: 3 } });
  expect((await loadRevisions(here, id)).map(({ number, formula }) => [number, formula.name])).toEqual([
    [3, 'Third'],
    [2, 'Second'],
    [1, 'Plain loaf'],
  ]);
  const json = JSON.parse((await loadFormulaJson(here, id)) ?? '') as object;
  expect(json).toEqual(await loadFormula(here, id));
});

test('a stale writer is told, and nothing is overwritten', async () => {
  const id = await made();
  await save(id, 1, 'Mine');
  expect(await save(id, 1, 'Theirs')).toMatchObject({ ok: false, failure: { kind: 'stale', revision: 2 } });
  expect((await loadFormula(here, id))?.formula.name).toBe('Mine');
});

test('the same request, however often and however closely together, is one revision', async () => {
  const id = await made();
  const requestId = randomUUID();
  const answers = await Promise.all([1, 2, 3, 4, 5].map(() => save(id, 1, 'Once', requestId)));
  expect(answers.map((answer) => answer.ok && answer.value.revision)).toEqual([2, 2, 2, 2, 2]);
  expect(await loadRevisions(here, id)).toHaveLength(2);
  const creation = { requestId: randomUUID(), formula: plainLoaf() };
  const created = await Promise.all([1, 2, 3].map(() => createFormula(here, creation)));
  expect(new Set(created.map((answer) => answer.ok && answer.value.id)).size).toBe(1);
});

test('an id that was used for something else is refused, never acknowledged', async () => {
  const id = await made();
  const requestId = randomUUID();
  expect(await save(id, 1, 'First', requestId)).toMatchObject({ value: { revision: 2 } });
  const refused = { ok: false, failure: { kind: 'otherContent' } };
  expect(await save(id, 1, 'Second', requestId)).toMatchObject(refused);
  expect(await save(await made(), 1, 'First', requestId)).toMatchObject(refused);
  expect(await createFormula(here, { requestId, formula: plainLoaf() })).toMatchObject(refused);
  expect(await save(id, 1, 'First', requestId)).toMatchObject({ value: { revision: 2 } });
  const copying = { id, requestId: randomUUID() };
  const copy = await duplicateFormula(here, copying);
  await save(id, 2, 'Gone on');
  expect(await duplicateFormula(here, copying)).toEqual(copy);
  expect(await duplicateFormula(here, { ...copying, id: await made() })).toMatchObject(refused);
  expect((await loadFormula(here, id))?.revision).toBe(3);
});

test('a name is shortened between letters, never within one', async () => {
  const id = await made(here, `${'x'.repeat(71)}👩‍🍳`);
  const copy = await duplicateFormula(here, { id, requestId: randomUUID() });
  expect(copy.ok && (await loadFormula(here, copy.value.id))?.formula.name).toBe(`${'x'.repeat(71)} (copy)`);
});

test('of ten different writers at once exactly one wins', async () => {
  const id = await made();
  const answers = await Promise.all(Array.from({ length: 10 }, (_, index) => save(id, 1, `Writer ${index}`)));
  expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
  expect(await loadRevisions(here, id)).toHaveLength(2);
});

test('another kitchen sees nothing of it and can do nothing to it', async () => {
  const id = await made();
  const there = await db.kitchen();
  expect(await loadFormula(there, id)).toBeNull();
  expect(await loadFormulaJson(there, id)).toBeNull();
  expect(await loadRevisions(there, id)).toEqual([]);
  expect((await shelf(there)).cards).toEqual([]);
  expect(await save(id, 1, 'Thief', randomUUID(), there)).toMatchObject({ failure: { kind: 'notFound' } });
  expect(await duplicateFormula(there, { id, requestId: randomUUID() })).toMatchObject({
    failure: { kind: 'notFound' },
  });
  expect(await archiveFormula(there, { id, archived: true })).toMatchObject({
    failure: { kind: 'notFound' },
  });
});

test('what could not be baked is not saved', async () => {
  const id = await made();
  const wet = plainLoaf();
  wet.stages[0]!.lines.find((line) => line.id === 'water')!.massG = 4500;
  expect(await saveFormula(here, { id, seen: 1, requestId: randomUUID(), formula: wet })).toMatchObject({
    failure: { kind: 'invalid', problems: [{ code: 'tooWet', path: 'stages.0.lines.3.massG' }] },
  });
  expect(await loadRevisions(here, id)).toHaveLength(1);
});

test('a copy has its own history; the archive keeps and gives back', async () => {
  const id = await made();
  const copy = await duplicateFormula(here, { id, requestId: randomUUID() });
  expect(copy).toMatchObject({ ok: true, value: { revision: 1 } });
  await archiveFormula(here, { id, archived: true });
  const { cards, counts } = await shelf(here);
  expect(cards.map(({ name }) => name)).toEqual(['Plain loaf (copy)']);
  expect((await shelf(here, true)).cards.map(({ name }) => name)).toEqual(['Plain loaf']);
  expect(counts).toEqual({ onShelf: 1, archived: 1 });
  expect(cards[0]!.hydrationAll).toBeCloseTo(87.6, 1);
  expect(cards[0]).toMatchObject({
    bakes: 0,
    binders: [{ name: 'Psyllium husk', percent: 4 }],
  });
});

test('the database itself refuses to rewrite history', async () => {
  const id = await made();
  await expect(
    db.admin.query("update formula_revision set formula = '{}' where formula_id = $1", [id]),
  ).rejects.toThrow(/append-only/);
  await expect(db.admin.query('delete from formula_revision where formula_id = $1', [id])).rejects.toThrow(
    /append-only/,
  );
});
