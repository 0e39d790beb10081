import { randomUUID } from 'node:crypto';
import { eightRolls } from '@/core/batch/testBatch';
import { plainLoaf } from '@/core/formula/testFormulas';
import { BAKE_PLAN } from '@/core/documents';
import { ORDINARY_KIT } from '@/core/kit';
import { UnreadableDocument } from '@/db/rows';
import { firstKitchen } from '@/db/queries/kitchens';
import { renewCards } from '@/server/bakeCards';
import { loadBake } from '@/server/bakeRecords';
import { recordTaps, startBake } from '@/server/bakes';
import type { Context } from '@/server/context';
import { createFormula, loadFormula, loadFormulaJson, loadStory, saveFormula } from '@/server/formulas';
import { saveEntry, siftLarder } from '@/server/ingredients';
import { loadKit, saveKit } from '@/server/kit';
import { loadLearnt } from '@/server/learnt';
import { formulaSlices } from '@/server/slices';
import { loadAbsorption } from '@/server/absorption';
import { ended, shelf, underWay } from './lists';
import { testDatabase, type TestDatabase } from './testDatabase';

/** One row that cannot be read, of each kind, by damage or from a newer program: it is set aside, and everything else goes on. */
let db: TestDatabase;
let here: Context;
beforeEach(async () => {
  db = await testDatabase();
  here = await db.kitchen();
});
afterEach(() => db.drop());

/** Rewrites what the application never would. */
async function damage(sql: string, values: unknown[] = []): Promise<void> {
  const client = await db.admin.connect();
  await client.query('set session_replication_role = replica');
  await client.query(sql, values);
  client.release(true);
}
async function made(name: string): Promise<string> {
  const created = await createFormula(here, { requestId: randomUUID(), formula: { ...plainLoaf(), name } });
  if (!created.ok) throw new Error('not created');
  return created.value.id;
}
async function baked(formulaId: string): Promise<string> {
  const bake = await startBake(here, { requestId: randomUUID(), formulaId, revision: 1, batch: eightRolls });
  if (!bake.ok) throw new Error('not started');
  return bake.value.id;
}
const tap = (bakeId: string, text: string) =>
  recordTaps(here, bakeId, [{ eventId: randomUUID(), agoMs: 0, action: { type: 'noted', text } }]);

test('a formula: the shelf shows the others and says so; its own page says what it is', async () => {
  const [good, bad] = [await made('Good'), await made('Bad')];
  await damage(`update formula_revision set schema_version = 99 where formula_id = $1`, [bad]);
  const { cards, setAside } = await shelf(here);
  expect(cards.map(({ id }) => id)).toEqual([good]);
  expect(setAside).toEqual([{ kind: 'formula', id: bad, name: 'Bad', version: 99, newer: true }]);
  await expect(loadFormula(here, bad)).rejects.toBeInstanceOf(UnreadableDocument);
  await expect(loadFormulaJson(here, bad)).rejects.toBeInstanceOf(UnreadableDocument);
  expect(await formulaSlices(here, [good, bad])).toMatchObject({ [bad]: null });
  // a good revision on top of a bad one: the story tells of both
  const saved = await saveFormula(here, { id: bad, requestId: randomUUID(), seen: 1, formula: plainLoaf() });
  expect(saved).toMatchObject({ value: { revision: 2 } });
  const story = await loadStory(here, bad, null);
  expect([story.revisions.map(({ number }) => number), story.setAside.length]).toEqual([[2], 1]);
});

test('a bake: Today and the logbook show the others', async () => {
  const formula = await made('Loaf');
  const [good, bad, closed] = [await baked(formula), await baked(formula), await baked(formula)];
  await recordTaps(here, closed, [
    { eventId: randomUUID(), agoMs: 0, action: { type: 'abandoned', reason: '' } },
  ]);
  await damage(`update bake set sheet = '{"name": "Torn"}' where id = any ($1)`, [[bad, closed]]);
  // lists show what they showed, and never read a sheet; made anew, they say which cannot be read
  expect((await ended(here)).lines.map(({ id }) => id)).toEqual([closed]);
  await db.admin.query('update bake_card set derivation = 0');
  expect(await renewCards(db.admin)).toBe(3);
  const running = await underWay(here);
  expect(running.bakes.map(({ id }) => id)).toEqual([good]);
  expect(running.setAside).toMatchObject([{ kind: 'bakePlan', id: bad, newer: false }]);
  const torn = { kind: 'bakePlan', id: closed, name: 'Torn', version: BAKE_PLAN.version, newer: false };
  expect(await ended(here)).toEqual({ lines: [], setAside: [torn], next: null });
  await expect(loadBake(here, bad)).rejects.toBeInstanceOf(UnreadableDocument);
  // of a newer program, with a name that has no end, and without any
  await damage(`update bake set schema_version = 99, sheet = $2 where id = $1`, [
    closed,
    { name: 'x'.repeat(99) },
  ]);
  await db.admin.query('update bake_card set derivation = 0');
  await renewCards(db.admin);
  const newer = { ...torn, name: 'x'.repeat(80), version: 99, newer: true };
  expect((await ended(here)).setAside).toEqual([newer]);
  await damage(`update bake set sheet = '{}' where id = $1`, [closed]);
  await db.admin.query('update bake_card set derivation = 0');
  await renewCards(db.admin);
  expect((await ended(here)).setAside).toEqual([{ ...newer, name: null }]);
});

test('an event: the rest of the log stands, and the next one comes after it', async () => {
  const bake = await baked(await made('Loaf'));
  for (const text of ['one', 'two', 'three']) await tap(bake, text);
  await damage(`update bake_event set action = '{"type": "sung"}' where seq = 3`);
  await damage(`update bake_event set schema_version = 40 where seq = 1`);
  const read = await loadBake(here, bake);
  expect([read?.events.map(({ seq }) => seq), read?.unreadable]).toEqual([[2], 2]);
  await tap(bake, 'four');
  expect((await loadBake(here, bake))?.events.map(({ seq }) => seq)).toEqual([2, 4]);
  expect(await loadAbsorption(here)).toEqual([]);
});

test('the kit: the newest that can be read stands in, and the next is saved after all of them', async () => {
  const save = (roomC: number, seen: number) =>
    saveKit(here, { requestId: randomUUID(), seen, kit: { ...ORDINARY_KIT, roomC } });
  await save(17, 0);
  await save(18, 1);
  await damage(`update kitchen_kit set kit = '{"roomC": "warm"}' where version = 2`);
  expect(await loadKit(here)).toMatchObject({ version: 2, kit: { roomC: 17 }, setAside: { kind: 'kit' } });
  expect(await save(19, 2)).toMatchObject({ value: { version: 3 } });
  expect(await loadKit(here)).toEqual({ version: 3, kit: { ...ORDINARY_KIT, roomC: 19 } });
});

test('an ingredient: what is made of it goes with it, the rest of the larder stays, and a new one can be added', async () => {
  const blend = (id: string, part: string) => ({
    kind: 'blend' as const, id, name: id, alsoCalled: [], source: '', role: 'flour' as const,
    parts: [{ ingredientId: part, massG: 100 }], densityGPerMl: null,
  }); // prettier-ignore
  const keep = (id: string, part: string, seen = 0) =>
    saveEntry(here, { requestId: randomUUID(), seen, away: false, entry: blend(id, part) });
  for (const [id, part] of [
    ['own-base', 'teff-flour'],
    ['own-top', 'own-base'],
    ['own-good', 'millet-flour'],
  ] as const)
    expect(await keep(id, part)).toMatchObject({ ok: true });
  const formula = await made('Loaf');
  await damage(`update kitchen_ingredient set schema_version = 7 where id = 'own-base'`);
  const { stored, setAside } = await siftLarder(here);
  expect(stored.map(({ id }) => id)).toEqual(['own-good']);
  expect(setAside.map(({ id }) => id)).toEqual(['own-base', 'own-top']);
  const again = db.sameKitchen(here);
  expect([...(await again.book()).keys()].filter((id) => id.startsWith('own-'))).toEqual(['own-good']);
  expect((await shelf(again)).cards.map(({ id }) => id)).toEqual([formula]);
  expect(await loadLearnt(again, formula)).toBeNull();
  expect(await keep('own-new', 'teff-flour')).toMatchObject({ value: { version: 1 } });
  // in the place of the unreadable one comes the next version of it, not a second first
  expect(await keep('own-base', 'teff-flour', 0)).toMatchObject({ failure: { kind: 'stale', revision: 1 } });
  expect(await keep('own-base', 'teff-flour', 1)).toMatchObject({ value: { version: 2 } });
});

test('the kitchen’s own details: plain ones stand in for them', async () => {
  await damage(`update kitchen set details = '{"timeZone": "Mars/Base"}'`);
  expect(await firstKitchen(here.pool)).toMatchObject({
    id: here.kitchen.id,
    details: { name: 'Kitchen', timeZone: 'UTC' },
    setAside: { kind: 'kitchenDetails' },
  });
});
