import { randomUUID } from 'node:crypto';
import { eightRolls } from '@/core/batch/testBatch';
import { EMPTY_DAY, type DayDocument } from '@/core/day/dayDocument';
import { editDay } from '@/core/day/dayEdit';
import { planDayFile } from '@/core/planFile/planFile';
import { libraryBook } from '@/core/ingredients';
import { ORDINARY_LIFE } from '@/core/day/lifeDocument';
import { partedLoaf, plainLoaf } from '@/core/formula/testFormulas';
import { emptyOutcome } from '@/core/bake';
import { outOf } from '@/core/day/usualRequest';
import { newStep } from '@/core/method';
import { rollsWithMethod } from '@/core/run/testRuns';
import { loadBake } from '@/server/bakeRecords';
import { recordTaps, startBake, stockLeft } from '@/server/bakes';
import type { Context } from '@/server/context';
import { loadDay, loadLife, saveDay, saveLife } from '@/server/day';
import { dayFile } from '@/server/dayFile';
import { dayBakes, dayPageData } from '@/server/dayPage';
import { createFormula } from '@/server/formulas';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
let formulaId: string;
beforeAll(async () => {
  db = await testDatabase();
});
afterAll(() => db.drop());
beforeEach(async () => {
  here = await db.kitchen();
  const made = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!made.ok) throw new Error('no formula');
  formulaId = made.value.id;
});

const BATCH = '3b0c7f2e-5d1a-4e86-9f43-6a2c8d7e1b90';
const withBatch = (day: DayDocument, id: string): DayDocument => {
  const made = editDay(day, { type: 'add', batch: { id, formulaId, revision: 1, name: 'Loaf', batch: eightRolls, ready: null } }, 0);
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
}; // prettier-ignore
const keep = (day: DayDocument, seen: number, requestId: string = randomUUID()) =>
  saveDay(here, { requestId, seen, day });

test('a day is saved in versions: two tabs do not write over one another, a repetition is one, no other kitchen sees it', async () => {
  expect(await loadDay(here)).toEqual({ version: 0, value: EMPTY_DAY });
  const requestId = randomUUID();
  const one = withBatch(EMPTY_DAY, BATCH);
  const twice = await Promise.all([keep(one, 0, requestId), keep(one, 0, requestId)]);
  expect(twice.map((answer) => answer.ok && answer.value.version)).toEqual([1, 1]);
  expect(await keep(EMPTY_DAY, 0)).toMatchObject({ ok: false, failure: { kind: 'stale', revision: 1 } });
  expect(await keep(EMPTY_DAY, 0, requestId)).toMatchObject({ failure: { kind: 'otherContent' } });
  // who writes the same as the newest writes over nothing; who has seen what is not there yet is told
  expect(await keep(one, 7)).toMatchObject({ ok: false, failure: { kind: 'stale' } });
  expect(await keep(one, 0)).toMatchObject({ ok: true, value: { version: 1 } });
  expect(await loadDay(here)).toEqual({ version: 1, value: one });
  expect((await loadDay(await db.kitchen())).version).toBe(0);
  await expect(db.admin.query('update kitchen_day set version = 9')).rejects.toThrow(/append-only/);
  await expect(db.admin.query('delete from kitchen_day')).rejects.toThrow(/append-only/);
}); // prettier-ignore

test('hours likewise; a plain life until somebody says more', async () => {
  expect(await loadLife(here)).toEqual({ version: 0, value: ORDINARY_LIFE });
  const life = { ...ORDINARY_LIFE, people: 2 };
  expect(await saveLife(here, { requestId: randomUUID(), seen: 0, life })).toMatchObject({ ok: true, value: { version: 1 } });
  expect(await saveLife(here, { requestId: randomUUID(), seen: 0, life })).toMatchObject({ ok: false, failure: { kind: 'stale' } });
  expect((await loadLife(here)).value.people).toBe(2);
  await expect(db.admin.query('update kitchen_life set version = 9')).rejects.toThrow(/append-only/);
}); // prettier-ignore

test('a day that cannot be read is set aside, and the one before stands in for it', async () => {
  await keep(withBatch(EMPTY_DAY, BATCH), 0);
  await db.admin.query(
    `insert into kitchen_day (kitchen_id, version, request_id, day, saved_at, schema_version) values ($1, 2, $2, '{"batches": 7}', now(), 1)`,
    [here.kitchen.id, randomUUID()],
  );
  expect(await loadDay(here)).toMatchObject({
    version: 2,
    value: { batches: [{ id: BATCH }] },
    setAside: { kind: 'day' },
  });
});

test('the page has every formula at its batch’s revision, the one that is added, and how far the bench is', async () => {
  const started = await startBake(here, { requestId: randomUUID(), formulaId, revision: 1, batch: eightRolls });
  if (!started.ok) throw new Error('not started');
  const bake = await loadBake(here, started.value.id);
  const mix = bake!.sheet.steps.find(({ kind }) => kind === 'mix')!;
  await recordTaps(here, started.value.id, [{ eventId: randomUUID(), agoMs: 0, action: { type: 'stepDone', stepId: mix.id } }], 0);
  const day = withBatch(EMPTY_DAY, BATCH);
  await keep({ ...day, batches: day.batches.map((batch) => ({ ...batch, bakeId: started.value.id })) }, 0);
  const data = await dayPageData(here, { formulaId });
  expect(data.formulas).toMatchObject([{ formulaId, revision: 1, formula: { name: plainLoaf().name } }]);
  expect(data.add).toMatchObject({ formulaId, revision: 1 });
  const progress = data.bakes[started.value.id]!;
  expect(progress).toMatchObject({ endedMs: null, startedMs: bake!.startedAtMs });
  expect(typeof progress.calls[mix.id]?.doneMs).toBe('number');
  // a stranger's bake, and one that is gone, are nobody's
  const other = await db.kitchen();
  expect(await dayBakes(other, { lit: [], batches: day.batches.map((batch) => ({ ...batch, bakeId: started.value.id })) })).toEqual({});
  expect((await dayPageData(other, { formulaId })).add).toBeNull();
}); // prettier-ignore

test('what is taken out of the freezer for a batch is no longer there once it is begun: told once, however often the day is saved', async () => {
  const made = await createFormula(here, { requestId: randomUUID(), formula: { ...partedLoaf(), ways: partedLoaf().ways!.map((way) => (way.id === 'frozen' ? { ...way, steps: [newStep('freeze', 'freeze'), newStep('bake', 'bake')] } : way)) } });
  const bake = made.ok && (await startBake(here, { requestId: randomUUID(), formulaId: made.value.id, revision: 1, batch: { mode: 'factor', factor: 1, pieceMassG: 80, bowlLossPercent: 0 } }));
  if (!made.ok || !bake || !bake.ok) throw new Error('not started');
  const bakeId = bake.value.id;
  const sent = { bakeId, wayId: 'frozen' };
  // nothing is put by before the bake is over, and a stranger has none of it
  expect((await dayPageData(here, sent)).add).toBeNull();
  await recordTaps(here, bakeId, [{ eventId: randomUUID(), agoMs: 0, action: { type: 'closed', outcome: emptyOutcome } }]);
  const { add } = await dayPageData(here, sent);
  expect(add).toMatchObject({ formulaId: made.value.id, revision: 1, takenOut: { bakeId, wayId: 'frozen', as: 'frozenRaw', leftPieces: 3 } });
  expect((await dayPageData(await db.kitchen(), sent)).add).toBeNull();
  const left = async () => (await stockLeft(here)).flatMap(({ stock }) => stock.map((put) => ('wayId' in put ? put.leftPieces : 0)));
  const planned = editDay(EMPTY_DAY, { type: 'add', batch: { id: BATCH, formulaId: made.value.id, revision: 1, name: 'Rolls', batch: outOf(add!.formula, 'frozen', 2), ready: null, takenOut: add!.takenOut! } }, 0);
  if (!planned.ok) throw new Error(planned.problem.code);
  await keep(planned.value, 0);
  expect(await left()).toEqual([3]);
  // two of the three are spoken for
  expect((await dayPageData(here, sent)).add!.takenOut!.leftPieces).toBe(1);
  const begun = editDay(planned.value, { type: 'begun', batchId: BATCH, blockId: 'bake', atMs: 1000 }, 0);
  if (!begun.ok) throw new Error(begun.problem.code);
  await Promise.all([keep(begun.value, 1), keep(begun.value, 1)]);
  expect(await left()).toEqual([1]);
  const over = editDay(begun.value, { type: 'over', batchId: BATCH, blockId: 'bake', atMs: 2000 }, 0);
  await keep(over.ok ? over.value : begun.value, 2);
  expect(await left()).toEqual([1]);
  // a bake of another kitchen is not touched
  const other = await db.kitchen();
  expect(await saveDay(other, { requestId: randomUUID(), seen: 0, day: { ...begun.value, batches: begun.value.batches.map((batch) => ({ ...batch, id: randomUUID() })) } })).toMatchObject({ ok: true });
  expect(await left()).toEqual([1]);
  expect((await loadBake(here, bakeId))!.events.filter(({ action }) => action.type === 'stockCounted')).toHaveLength(1);
}); // prettier-ignore

test('a batch is made by its lever: less yeast on the sheet, the formula as it was; what is no lever is refused', async () => {
  const rolls = await createFormula(here, { requestId: randomUUID(), formula: rollsWithMethod() });
  if (!rolls.ok) throw new Error('no formula');
  const start = (lever?: string) =>
    startBake(here, { requestId: randomUUID(), formulaId: rolls.value.id, revision: 1, batch: eightRolls, ...(lever && { lever }) });
  const yeastG = async (answer: Awaited<ReturnType<typeof start>>) => {
    if (!answer.ok) throw new Error(JSON.stringify(answer.failure));
    const bake = await loadBake(here, answer.value.id);
    return bake!.sheet.stages.flatMap(({ lines }) => lines).find(({ ingredientId }) => ingredientId.endsWith('yeast'))!.massG;
  };
  const plain = await yeastG(await start());
  const half = await yeastG(await start('yeast 0.5'));
  expect(half / plain).toBeGreaterThan(0.4);
  expect(half / plain).toBeLessThan(0.6);
  expect(await start('more love')).toMatchObject({ ok: false, failure: { kind: 'invalid', problems: [{ code: 'notAllowed', path: 'lever' }] } });
  expect(await start('yeast 9')).toMatchObject({ ok: false, failure: { kind: 'invalid', problems: [{ code: 'notSolvable' }] } });
}); // prettier-ignore

test('the day as a file of its own is one that can be planned, without a database', async () => {
  const rolls = await createFormula(here, { requestId: randomUUID(), formula: rollsWithMethod() });
  if (!rolls.ok) throw new Error('no formula');
  const readyMs = here.now().getTime() + 9 * 3_600_000;
  const made = editDay(EMPTY_DAY, { type: 'add', batch: { id: BATCH, formulaId: rolls.value.id, revision: 1, name: 'Rolls', batch: eightRolls, ready: { fromMs: readyMs, toMs: readyMs } } }, here.now().getTime());
  if (!made.ok) throw new Error(made.problem.code);
  await keep(made.value, 0);
  await saveLife(here, { requestId: randomUUID(), seen: 0, life: { ...ORDINARY_LIFE, away: [], once: [{ name: 'Out', fromMs: readyMs - 7_200_000, toMs: readyMs - 5_400_000 }] } });
  const plan = planDayFile(JSON.stringify(await dayFile(here)), libraryBook);
  if (!plan.ok) throw new Error(`${plan.problem.code} ${plan.problem.path}`);
  expect(plan.value.batches).toMatchObject([{ id: BATCH, placed: true }]);
  for (const { from, to, handsOn } of plan.value.calls)
    if (handsOn) expect(Date.parse(to) <= readyMs - 7_200_000 || Date.parse(from) >= readyMs - 5_400_000).toBe(true);
  // a stranger has a day of his own, with nothing on it
  expect((await dayFile(await db.kitchen())).batches).toEqual([]);
}); // prettier-ignore
