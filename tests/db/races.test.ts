import { randomUUID } from 'node:crypto';
import { eightRolls } from '@/core/batch/testBatch';
import { plainLoaf } from '@/core/formula/testFormulas';
import { kitchenBook, type BlendEntry } from '@/core/ingredients';
import { ORDINARY_KIT } from '@/core/kit';
import { insertEvents } from '@/db/queries/bakes';
import { insertEntry } from '@/db/queries/ingredients';
import { insertVersion, KITS } from '@/db/queries/versions';
import { loadBake } from '@/server/bakeRecords';
import { recordTaps, startBake } from '@/server/bakes';
import { computedAnswer } from '@/server/computedAnswers';
import type { Context } from '@/server/context';
import { createFormula, duplicateFormula, saveFormula } from '@/server/formulas';
import { loadEntries, saveEntry } from '@/server/ingredients';
import { loadKit, saveKit } from '@/server/kit';
import { testDatabase, type TestDatabase } from './testDatabase';

/**
 * Each lock and each idempotency key against those who come at the same moment. Every one of these fails when what it is about is
 * taken out (the row lock, the key, the gate): tried one at a time.
 */
let db: TestDatabase;
let here: Context;
beforeAll(async () => {
  db = await testDatabase();
});
afterAll(() => db.drop());
beforeEach(async () => {
  here = await db.kitchen();
});

const AT_ONCE = 6;
const together = <T>(deed: (index: number) => Promise<T>, count = AT_ONCE): Promise<T[]> =>
  Promise.all(Array.from({ length: count }, (_, index) => deed(index)));
const rows = async (table: string): Promise<number> => {
  const { rows: found } = await db.admin.query<{ count: number }>(
    `select count(*)::int as count from ${table} where kitchen_id = $1`,
    [here.kitchen.id],
  );
  return found[0]?.count ?? 0;
};
async function formula(): Promise<string> {
  const made = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!made.ok) throw new Error('no formula');
  return made.value.id;
}
async function bake(): Promise<string> {
  const formulaId = await formula();
  const made = await startBake(here, { requestId: randomUUID(), formulaId, revision: 1, batch: eightRolls });
  if (!made.ok) throw new Error('no bake');
  return made.value.id;
}
const note = (text: string) => ({
  eventId: randomUUID(),
  agoMs: 0,
  action: { type: 'noted', text } as const,
});

test('taps of many tablets at once: each is saved, in one order without a gap', async () => {
  const id = await bake();
  const answers = await together((index) => recordTaps(here, id, [note(`n${index}`), note(`m${index}`)]));
  expect(answers.every((answer) => answer.ok)).toBe(true);
  const events = (await loadBake(here, id))?.events ?? [];
  expect(events.map(({ seq }) => seq)).toEqual(Array.from({ length: 2 * AT_ONCE }, (_, index) => index + 1));
});

test('the same taps from many connections at once are saved once, and all are told so', async () => {
  const id = await bake();
  const taps = [note('a'), note('b')];
  const answers = await together(() => recordTaps(here, id, taps));
  expect(
    answers.map((answer) => answer.ok && answer.value.results.every(({ problem }) => problem === null)),
  ).toEqual(Array.from({ length: AT_ONCE }, () => true));
  expect((await loadBake(here, id))?.events).toHaveLength(2);
});

test('one wish for a formula, a copy, a bake and a revision, many times at once, is one of each', async () => {
  const same = async (wish: (requestId: string) => Promise<{ ok: boolean; value?: object }>) => {
    const requestId = randomUUID();
    const answers = await together(() => wish(requestId));
    expect(answers.filter(({ ok }) => !ok)).toEqual([]);
    expect(new Set(answers.map(({ value }) => JSON.stringify(value))).size).toBe(1);
  };
  await same((requestId) => createFormula(here, { requestId, formula: plainLoaf() }));
  expect([await rows('formula'), await rows('formula_revision')]).toEqual([1, 1]);
  const id = await formula();
  await same((requestId) => duplicateFormula(here, { id, requestId }));
  expect(await rows('formula')).toBe(3);
  await same((requestId) =>
    saveFormula(here, { id, requestId, seen: 1, formula: { ...plainLoaf(), name: 'B' } }),
  );
  expect(await rows('formula_revision')).toBe(4);
  await same((requestId) => startBake(here, { requestId, formulaId: id, revision: 1, batch: eightRolls }));
  expect([await rows('bake'), await rows('bake_card'), await rows('bake_under_way')]).toEqual([1, 1, 1]);
});

test('one wish for the kit and for an ingredient, many times at once, is one version of each', async () => {
  const requestId = randomUUID();
  const kits = await together(() =>
    saveKit(here, { requestId, seen: 0, kit: { ...ORDINARY_KIT, roomC: 25 } }),
  );
  expect(kits.map((answer) => answer.ok && answer.value.version)).toEqual(kits.map(() => 1));
  expect(await rows('kitchen_kit')).toBe(1);
  const entry = blend('own-a', 'white-rice-flour');
  const entries = await together(() => saveEntry(here, { requestId, seen: 0, entry, away: false }));
  expect(entries.map((answer) => answer.ok && answer.value.version)).toEqual(entries.map(() => 1));
  expect(await rows('kitchen_ingredient')).toBe(1);
});

const blend = (id: string, ingredientId: string): BlendEntry => ({
  kind: 'blend', id, name: id, alsoCalled: [], source: '', role: 'flour', densityGPerMl: null,
  parts: [{ ingredientId, massG: 1 }, { ingredientId: 'tapioca-starch', massG: 1 }],
}); // prettier-ignore

test('of writers who saw the same, one wins; the others are told what is there', async () => {
  const id = await formula();
  const wish = (index: number) => ({ requestId: randomUUID(), seen: 1, name: `n${index}` });
  const saves = await together((index) => {
    const { name, ...rest } = wish(index);
    return saveFormula(here, { id, ...rest, formula: { ...plainLoaf(), name } });
  });
  const kits = await together((index) =>
    saveKit(here, { requestId: randomUUID(), seen: 0, kit: { ...ORDINARY_KIT, roomC: 20 + index } }),
  );
  const entries = await together((index) =>
    saveEntry(here, {
      requestId: randomUUID(),
      seen: 0,
      entry: { ...blend('own-a', 'white-rice-flour'), name: `n${index}` },
      away: false,
    }),
  );
  for (const answers of [saves, kits, entries]) {
    expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
    expect(answers.flatMap((answer) => (answer.ok ? [] : [answer.failure.kind]))).toEqual(
      Array.from({ length: AT_ONCE - 1 }, () => 'stale'),
    );
  }
  expect((await loadKit(here)).version).toBe(1);
});

test('two blends that would each hold the other: one is saved, never both', async () => {
  for (let round = 0; round < 4; round += 1) {
    const [a, b] = [`own-a${round}`, `own-b${round}`] as const;
    const save = (entry: BlendEntry, seen: number) =>
      saveEntry(here, { requestId: randomUUID(), seen, entry, away: false });
    await save(blend(a, 'white-rice-flour'), 0);
    await save(blend(b, 'white-rice-flour'), 0);
    const answers = await Promise.all([save(blend(a, b), 1), save(blend(b, a), 1)]);
    expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
    expect(kitchenBook(await loadEntries(here)).ok).toBe(true);
  }
});

test('bakes begun at once are all counted with their formula', async () => {
  const formulaId = await formula();
  await together(() =>
    startBake(here, { requestId: randomUUID(), formulaId, revision: 1, batch: eightRolls }),
  );
  const { rows: found } = await db.admin.query<{ bakes: number }>('select bakes from formula where id = $1', [
    formulaId,
  ]);
  expect(found[0]?.bakes).toBe(AT_ONCE);
});

test('an answer that many ask for at once is computed once, and stored once', async () => {
  let computed = 0;
  const wanted = {
    about: 'race',
    signature: randomUUID(),
    compute: async () => {
      computed += 1;
      await new Promise((resolve) => setImmediate(resolve));
      return 7;
    },
  };
  expect(await together(() => computedAnswer(here, wanted))).toEqual(
    Array.from({ length: AT_ONCE }, () => 7),
  );
  expect([computed, await rows('computed_answer')]).toEqual([1, 1]);
});

test('where no lock stood before it, each key would still let one through', async () => {
  const bakeId = await bake();
  const { pool, kitchen } = here;
  const savedAt = new Date(here.now().getTime());
  const passed = async (deed: (index: number) => Promise<unknown>) =>
    (await Promise.allSettled([deed(0), deed(1)])).map(({ status }) => status).sort();
  const one = ['fulfilled', 'rejected'];
  const event = (seq: number, eventId: string) => ({
    eventId,
    seq,
    at: savedAt,
    action: { type: 'noted', text: 'x' } as const,
    by: null,
  });
  const again = randomUUID();
  expect(await passed((n) => insertEvents(pool, kitchen.id, bakeId, [event(1 + n, again)]))).toEqual(one);
  expect(await passed(() => insertEvents(pool, kitchen.id, bakeId, [event(9, randomUUID())]))).toEqual(one);
  const entry = (n: number, version: number, requestId: string) =>
    insertEntry(pool, {
      kitchenId: kitchen.id, version, requestId, entry: blend(`own-${n}`, 'white-rice-flour'), away: false, savedAt,
    }); // prettier-ignore
  expect(await passed((n) => entry(n, 1, again))).toEqual(one);
  expect(await passed(() => entry(7, 1, randomUUID()))).toEqual(one);
  const kit = (version: number, requestId: string) =>
    insertVersion(pool, KITS, { kitchenId: kitchen.id, version, requestId, value: ORDINARY_KIT, savedAt });
  expect(await passed((n) => kit(1 + n, again))).toEqual(one);
  expect(await passed(() => kit(5, randomUUID()))).toEqual(one);
});
