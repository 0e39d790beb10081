import { randomUUID } from 'node:crypto';
import { writeFormulaFile } from '@/core/formats';
import type { Formula } from '@/core/formula';
import { line, plainLoaf } from '@/core/formula/testFormulas';
import { ownFlour } from '@/core/ingredients/testIngredients';
import type { BagEntry, BlendEntry, KitchenEntry } from '@/core/ingredients';
import { contextIn, type Context } from '@/server/context';
import { createFormula, duplicateFormula, loadFormula, loadStory, saveFormula } from '@/server/formulas';
import { importFormula } from '@/server/importFormula';
import { loadEntries, saveEntry } from '@/server/ingredients';
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

const blend = (id: string, parts: readonly (readonly [string, number])[], name = id): BlendEntry => ({
  kind: 'blend', id, name, alsoCalled: [], source: '', role: 'flour', densityGPerMl: null,
  parts: parts.map(([ingredientId, massG]) => ({ ingredientId, massG })),
}); // prettier-ignore
const jar = blend('own-jar', [['white-rice-flour', 600], ['tapioca-starch', 400]]); // prettier-ignore
const keep = (entry: KitchenEntry, seen = 0, requestId = randomUUID(), context = here, away = false) =>
  saveEntry(context, { requestId, seen, entry, away });
const withJar = (): Formula => ({
  ...plainLoaf(),
  stages: [{ id: 's', kind: 'main', name: '', lines: [line('own-jar', 500), line('water', 400)] }],
});
const fresh = (context = here): Context => contextIn(context.pool, context.kitchen, context);

test('an entry is saved in versions; a stale writer is told, a repetition changes nothing', async () => {
  const requestId = randomUUID();
  const once = await Promise.all([keep(jar, 0, requestId), keep(jar, 0, requestId), keep(jar, 0, requestId)]);
  expect(once.map((answer) => answer.ok && answer.value.version)).toEqual([1, 1, 1]);
  const renamed = { ...jar, name: 'The jar' };
  expect(await keep(renamed, 1)).toMatchObject({ ok: true, value: { version: 2 } });
  expect(await keep({ ...jar, name: 'Too late' }, 1)).toMatchObject({
    ok: false,
    failure: { kind: 'stale', revision: 2 },
  });
  expect(
    (await loadEntries(here)).map(({ version, entry }) => [version, (entry as BlendEntry).name]),
  ).toEqual([[2, 'The jar']]);
  await expect(db.admin.query('update kitchen_ingredient set away = true')).rejects.toThrow(/append-only/);
  const elsewhere = await db.kitchen();
  expect(await loadEntries(elsewhere)).toEqual([]);
});

test('what would contain itself, or hold something unknown, is refused with its place', async () => {
  await keep(jar);
  await keep(blend('own-sponge', [['own-jar', 1], ['water', 1]])); // prettier-ignore
  const cyclic = await keep(blend('own-jar', [['own-sponge', 1]]), 1);
  expect(cyclic).toMatchObject({
    ok: false,
    failure: { kind: 'invalid', problems: [{ code: 'cycle', path: 'parts' }] },
  });
  const unknown = await keep(blend('own-x', [['water', 1], ['nothing', 1]])); // prettier-ignore
  expect(unknown).toMatchObject({
    ok: false,
    failure: { problems: [{ code: 'unknownIngredient', path: 'parts.1.ingredientId' }] },
  });
  expect(await loadEntries(here)).toHaveLength(2);
});

test('a formula may use what the kitchen has, also after it was put away, and nobody else’s', async () => {
  expect(await createFormula(fresh(), { requestId: randomUUID(), formula: withJar() })).toMatchObject({
    ok: false,
  });
  await keep(jar);
  const made = await createFormula(fresh(), { requestId: randomUUID(), formula: withJar() });
  if (!made.ok) throw new Error();
  await keep(jar, 1, randomUUID(), here, true);
  expect(
    await saveFormula(fresh(), {
      id: made.value.id,
      requestId: randomUUID(),
      seen: 1,
      formula: { ...withJar(), name: 'Again' },
    }),
  ).toMatchObject({ ok: true });
  const elsewhere = await db.kitchen();
  expect(await createFormula(elsewhere, { requestId: randomUUID(), formula: withJar() })).toMatchObject({
    ok: false,
  });
});

test('a formula file brings its ingredients along, whole or not at all', async () => {
  const text = writeFormulaFile(withJar(), [jar]);
  const requestId = randomUUID();
  const [first, second] = await Promise.all([
    importFormula(fresh(), { requestId, file: text }),
    importFormula(fresh(), { requestId, file: text }),
  ]);
  if (!first?.ok || !second?.ok) throw new Error(JSON.stringify([first, second]));
  expect(second.value.id).toBe(first.value.id);
  expect((await loadFormula(here, first.value.id))?.formula).toEqual(withJar());
  expect((await loadEntries(here)).map(({ id }) => id)).toEqual(['own-jar']);
  // the same id here means something else: it comes in beside it, and the formula follows
  const theirs = writeFormulaFile(withJar(), [blend('own-jar', [['millet-flour', 1]])]);
  const other = await importFormula(fresh(), { requestId: randomUUID(), file: theirs });
  if (!other.ok) throw new Error();
  const line0 = (await loadFormula(here, other.value.id))!.formula.stages[0]!.lines[0]!;
  expect(line0.ingredientId).not.toBe('own-jar');
  expect((await fresh().book()).get(line0.ingredientId)!.madeOf).toEqual([
    { ingredientId: 'millet-flour', share: 1 },
  ]);

  const before = [
    (await loadEntries(here)).length,
    (await here.pool.query('select 1 from formula where kitchen_id = $1', [here.kitchen.id])).rowCount,
  ];
  for (const bad of [
    text.slice(0, -40),
    text.replace('"own-jar",\n            "massG"', '"own-gone",\n            "massG"'),
    '{}',
    text.replace('"version": 3', '"version": 7'),
  ]) {
    expect(await importFormula(fresh(), { requestId: randomUUID(), file: bad })).toMatchObject({
      ok: false,
      failure: { kind: 'invalid' },
    });
  }
  const after = [
    (await loadEntries(here)).length,
    (await here.pool.query('select 1 from formula where kitchen_id = $1', [here.kitchen.id])).rowCount,
  ];
  expect(after).toEqual(before);
});

test('what comes in with a formula: all that it needs, under new ids where ours mean something else, a bag of ours left alone', async () => {
  const own = ownFlour('own-seed', 'Seed');
  const nested = blend('own-top', [['own-base', 1], ['own-seed', 1]]); // prettier-ignore
  const base = blend('own-base', [['millet-flour', 1]]);
  const bag: BagEntry = {
    kind: 'bag', id: 'teff-flour', bag: 'A dry one', source: '', changes: { absorption: { gPerG: { value: 1.1, sd: 0.1 }, tauMin: 12 } },
  }; // prettier-ignore
  const ofThese: Formula = {
    ...plainLoaf(),
    stages: [{ id: 's', kind: 'main', name: '', lines: [line('own-top', 500), line('teff-flour', 100), line('water', 400)] }],
  }; // prettier-ignore
  const file = writeFormulaFile(ofThese, [own, nested, base, bag]);
  const requestId = randomUUID();
  const first = await importFormula(fresh(), { requestId, file });
  if (!first.ok) throw new Error(JSON.stringify(first));
  const entries = async () => new Map((await loadEntries(fresh())).map(({ id, entry }) => [id, entry]));
  expect(await entries()).toEqual(
    new Map<string, KitchenEntry>([
      ['own-seed', own],
      ['own-top', nested],
      ['own-base', base],
      ['teff-flour', bag],
    ]),
  );
  // the same file again, as another wish: nothing new but the formula
  const second = await importFormula(fresh(), { requestId: randomUUID(), file });
  expect([second.ok, (await entries()).size]).toEqual([true, 4]);
  // one that means other things by the same ids: its own come in beside ours, blends follow, and our bag stands
  const theirs = writeFormulaFile(ofThese, [
    { ...own, name: 'Another seed' },
    nested,
    blend('own-base', [['teff-flour', 1]]),
    { ...bag, bag: 'A wet one' },
  ]);
  const third = await importFormula(fresh(), { requestId: randomUUID(), file: theirs });
  if (!third.ok) throw new Error(JSON.stringify(third));
  const now = await entries();
  const beside = [...now].filter(([id]) => !['own-seed', 'own-top', 'own-base', 'teff-flour'].includes(id));
  for (const [id, entry] of beside) expect([id, id.length]).toEqual([entry.id, 'own-'.length + 18]);
  const named = (name: string) => beside.find(([, entry]) => 'name' in entry && entry.name === name)?.[1];
  expect(beside.map(([, { kind }]) => kind).sort()).toEqual(['blend', 'blend', 'own']);
  expect(named('Another seed')).toMatchObject({ ...own, id: expect.any(String) as string, name: 'Another seed' });
  expect(named('own-base')).toMatchObject({ parts: [{ ingredientId: 'teff-flour', massG: 1 }] });
  // a blend that says the same, of parts that do not
  expect(named('own-top')).toMatchObject({
    parts: [{ ingredientId: named('own-base')?.id }, { ingredientId: named('Another seed')?.id }],
  });
  const lines = (await loadFormula(here, third.value.id))!.formula.stages[0]!.lines;
  expect(lines.map(({ ingredientId }) => ingredientId)).toEqual([named('own-top')?.id, 'teff-flour', 'water']);
  expect([now.get('own-seed'), now.get('teff-flour')]).toEqual([own, bag]);
  // the same wish again is the same formula; with another formula in it, it is refused
  expect(await importFormula(fresh(), { requestId, file })).toMatchObject({ ok: true, value: { id: first.value.id, revision: 1 } });
  for (const part of [{ name: 'Another' }, { stages: [{ ...ofThese.stages[0]!, name: 'Another' }] }, { stages: [{ ...ofThese.stages[0]!, lines: [line('own-top', 501), line('teff-flour', 100), line('water', 400)] }] }])
    expect(
      await importFormula(fresh(), { requestId, file: writeFormulaFile({ ...ofThese, ...part }, [own, nested, base, bag]) }),
    ).toEqual({ ok: false, failure: { kind: 'otherContent' } });
  const refused = async (formula: Formula, brought: readonly KitchenEntry[]) => {
    const answer = await importFormula(fresh(), { requestId: randomUUID(), file: writeFormulaFile(formula, brought) });
    return answer.ok || answer.failure.kind !== 'invalid' ? null : answer.failure.problems.map(({ code, path }) => [code, path]);
  };
  expect(await refused({ ...ofThese, stages: [{ ...ofThese.stages[0]!, lines: [] }] }, [])).toEqual([
    ['required', 'formula.stages'],
  ]);
}); // prettier-ignore

test('a wish sent again with something else in it is refused, whatever the difference', async () => {
  const requestId = randomUUID();
  await keep(jar);
  expect(await keep({ ...jar, name: 'The jar' }, 1, requestId)).toMatchObject({ value: { version: 2 } });
  expect(await keep({ ...jar, name: 'The jar' }, 1, requestId)).toMatchObject({ value: { version: 2 } });
  const no = { ok: false, failure: { kind: 'otherContent' } };
  expect(await keep({ ...jar, name: 'The jug' }, 1, requestId)).toEqual(no);
  expect(await keep({ ...jar, name: 'The jar' }, 2, requestId)).toEqual(no);
  expect(await keep({ ...jar, name: 'The jar' }, 1, requestId, here, true)).toEqual(no);
  expect(await loadEntries(here)).toHaveLength(1);
});

test('a branch remembers where it left, and the story is read page by page', async () => {
  const made = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!made.ok) throw new Error();
  const { id } = made.value;
  for (let seen = 1; seen <= 62; seen++) {
    await saveFormula(here, {
      id,
      requestId: randomUUID(),
      seen,
      formula: { ...plainLoaf(), about: `${seen}` },
    });
  }
  const branched = await duplicateFormula(here, {
    id,
    requestId: randomUUID(),
    revision: 5,
    name: 'A branch',
  });
  if (!branched.ok) throw new Error();
  expect((await loadFormula(here, branched.value.id))?.formula).toMatchObject({
    name: 'A branch',
    about: '4',
  });
  expect((await loadStory(here, branched.value.id, null)).branch).toMatchObject({ id, revision: 5 });
  const story = await loadStory(here, id, null);
  expect(story.branches).toEqual([{ id: branched.value.id, name: 'A branch', revision: 5 }]);
  expect(story.revisions.map(({ number }) => number).slice(0, 2)).toEqual([63, 62]);
  const rest = await loadStory(here, id, story.revisions.at(-1)!.number);
  expect(rest.revisions.map(({ number }) => number)).toEqual([3, 2, 1]);
  expect(await duplicateFormula(here, { id, requestId: randomUUID(), revision: 99 })).toMatchObject({
    ok: false,
    failure: { kind: 'notFound' },
  });
  const elsewhere = await db.kitchen();
  expect((await loadStory(elsewhere, id, null)).revisions).toEqual([]);
});
