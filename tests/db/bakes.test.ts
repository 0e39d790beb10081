import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { emptyOutcome, stateOf, type BakeAction } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import { plainLoaf } from '@/core/formula/testFormulas';
import { insertEvents } from '@/db/queries/bakes';
import { loadBake } from '@/server/bakeRecords';
import { bakesUnderWay, logbook, recordTaps, startBake, type BakePlace } from '@/server/bakes';
import type { Context } from '@/server/context';
import { createFormula } from '@/server/formulas';
import { ended, shelf, underWay } from './lists';
import { importKitchen } from '@/server/importKitchen';
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
});

async function started(context = here): Promise<string> {
  const formula = await createFormula(context, { requestId: randomUUID(), formula: plainLoaf() });
  if (!formula.ok) throw new Error('no formula');
  const bake = await startBake(context, {
    requestId: randomUUID(),
    formulaId: formula.value.id,
    revision: 1,
    batch: eightRolls,
  });
  if (!bake.ok) throw new Error('no bake');
  return bake.value.id;
}
const tapOf = (action: BakeAction, agoMs = 0) => ({ eventId: randomUUID(), agoMs, action });
const salt: BakeAction = { type: 'weighed', lineId: 'salt', massG: 7 };

test('who did it is kept with what was done; the same told again by another name is what it was', async () => {
  const id = await started();
  const [first, second] = [{ ...tapOf(salt), by: 'Imke' }, tapOf({ type: 'handedOver', to: 'Rowan', words: '' })];
  await recordTaps(here, id, [first, second]);
  expect(await recordTaps(here, id, [{ ...first, by: 'Rowan' }])).toMatchObject({ value: { results: [{ problem: null }] } });
  expect((await loadBake(here, id))?.events.map(({ by }) => by)).toEqual(['Imke', undefined]);
  expect((await bakesUnderWay(here, { after: null, most: 5 })).bakes).toMatchObject([{ id, withWhom: 'Rowan' }]);
  // a name is a word or two, not a text, and never nothing
  for (const by of ['', 'x'.repeat(61)]) await expect(insertEvents(db.pool, here.kitchen.id, id, [{ eventId: randomUUID(), seq: 9, action: salt, at: new Date(0), by }])).rejects.toThrow(/bake_event_by_who_check/);
}); // prettier-ignore

test('a bake keeps the sheet it ran on and the log of what happened, in order', async () => {
  const id = await started();
  await recordTaps(here, id, [tapOf(salt), tapOf({ type: 'noted', text: 'damp morning' })]);
  clock.ms += 60_000;
  await recordTaps(here, id, [tapOf({ type: 'timerStarted', stepId: 'proof', durationS: 3600 })]);
  const bake = await loadBake(here, id);
  if (!bake) throw new Error('lost');
  expect(bake.sheet.pieces).toMatchObject({ count: 8, doughG: 85 });
  expect(bake.events.map(({ seq, atMs }) => [seq, atMs - bake.startedAtMs])).toEqual([
    [1, 0],
    [2, 0],
    [3, 60_000],
  ]);
  expect(stateOf(bake).steps.get('proof')?.timer).toMatchObject({ durationS: 3600 });
});

test('starting twice with one wish is one bake; a stranger’s revision is not found', async () => {
  const formula = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!formula.ok) throw new Error('no formula');
  const start = { requestId: randomUUID(), formulaId: formula.value.id, revision: 1, batch: eightRolls };
  const answers = await Promise.all([startBake(here, start), startBake(here, start), startBake(here, start)]);
  expect(new Set(answers.map((answer) => answer.ok && answer.value.id)).size).toBe(1);
  expect((await underWay(here)).bakes).toHaveLength(1);
  const there = await db.kitchen();
  expect(await startBake(there, { ...start, requestId: randomUUID() })).toMatchObject({
    failure: { kind: 'notFound' },
  });
  expect(await startBake(here, { ...start, requestId: randomUUID(), revision: 9 })).toMatchObject({
    failure: { kind: 'notFound' },
  });
});

test('a tap sent again is saved once; two tablets ticking the same line make one tick', async () => {
  const id = await started();
  const tap = tapOf(salt);
  await Promise.all([
    recordTaps(here, id, [tap]),
    recordTaps(here, id, [tap]),
    recordTaps(here, id, [tap, tap]),
  ]);
  expect((await loadBake(here, id))?.events).toHaveLength(1);
  const second = await recordTaps(here, id, [tapOf(salt), tapOf({ type: 'stepDone', stepId: 'mix' })]);
  expect(second).toMatchObject({
    ok: true,
    value: { results: [{ problem: { code: 'alreadyDone' } }, { problem: null }] },
  });
  expect((await loadBake(here, id))?.events).toHaveLength(2);
});

test('a tap that waited for the network is dated back, never before the one ahead of it', async () => {
  const id = await started();
  clock.ms += 600_000;
  await recordTaps(here, id, [tapOf(salt, 120_000), tapOf({ type: 'noted', text: 'late' }, 300_000)]);
  const bake = await loadBake(here, id);
  expect(bake?.events.map(({ atMs }) => atMs - bake.startedAtMs)).toEqual([480_000, 480_000]);
});

test('a bake asked for again with something else in it is refused; a tap long delayed comes after all that is there', async () => {
  const formula = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!formula.ok) throw new Error('no formula');
  const wish = { requestId: randomUUID(), formulaId: formula.value.id, revision: 1, batch: eightRolls };
  const bake = await startBake(here, wish);
  if (!bake.ok) throw new Error('no bake');
  expect(await startBake(here, wish)).toEqual(bake);
  expect(await startBake(here, { ...wish, batch: { ...eightRolls, bowlLossPercent: 3 } })).toEqual({
    ok: false,
    failure: { kind: 'otherContent' },
  });
  expect(await startBake(here, { ...wish, requestId: randomUUID(), revision: 2 })).toEqual({
    ok: false,
    failure: { kind: 'notFound' },
  });
  const noted = (text: string, agoMs = 0) =>
    recordTaps(here, bake.value.id, [tapOf({ type: 'noted', text }, agoMs)]);
  const from = clock.ms;
  for (const text of ['one', 'two', 'three']) {
    clock.ms += 60_000;
    await noted(text);
  }
  clock.ms += 60_000;
  await noted('long ago', 10 * 60_000);
  await noted('a little ago', 10_000);
  const log = (await loadBake(here, bake.value.id))!.events.map(({ atMs }) => atMs - from);
  expect(log).toEqual([60_000, 120_000, 180_000, 180_000, 230_000]);
});

test('closing moves a bake from the bench to the logbook; a correction is one more event', async () => {
  const id = await started();
  await recordTaps(here, id, [tapOf({ type: 'closed', outcome: { ...emptyOutcome, pieces: 8 } })]);
  expect((await underWay(here)).bakes).toEqual([]);
  expect((await ended(here)).lines.map((bake) => bake.id)).toEqual([id]);
  const late = await recordTaps(here, id, [
    tapOf(salt),
    tapOf({ type: 'outcomeCorrected', outcome: { ...emptyOutcome, pieces: 7 } }),
  ]);
  expect(late).toMatchObject({
    value: { results: [{ problem: { code: 'alreadyClosed' } }, { problem: null }] },
  });
  const bake = await loadBake(here, id);
  expect(bake && stateOf(bake)).toMatchObject({
    outcome: { pieces: 7 },
    earlierOutcomes: [{ outcome: { pieces: 8 } }],
  });
  expect((await shelf(here)).cards).toMatchObject([{ bakes: 1 }]);
});

test('another kitchen neither sees nor touches a bake, and the log cannot be rewritten', async () => {
  const id = await started();
  await recordTaps(here, id, [tapOf(salt)]);
  const there = await db.kitchen();
  expect(await loadBake(there, id)).toBeNull();
  expect(await recordTaps(there, id, [tapOf(salt)])).toMatchObject({ failure: { kind: 'notFound' } });
  await expect(db.admin.query('update bake_event set happened_at = now()')).rejects.toThrow(/append-only/);
  await expect(db.admin.query('delete from bake')).rejects.toThrow(/append-only/);
});

test('the logbook pages backwards without losing or doubling a bake, though all began at one moment', async () => {
  const ids: string[] = [];
  for (let count = 0; count < 7; count++) {
    const id = await started();
    await recordTaps(here, id, [tapOf({ type: 'abandoned', reason: '' })]);
    ids.push(id);
  }
  const seen: string[] = [];
  let after: BakePlace | null = null;
  const sizes: number[] = [];
  do {
    const filter = { formulaId: null, words: [], again: null, order: 'newest' as const, after, most: 3 };
    const page: Awaited<ReturnType<typeof logbook>> = await logbook(here, filter);
    seen.push(...page.lines.map((line) => line.id));
    sizes.push(page.lines.length);
    after = page.next;
  } while (after);
  expect(seen).toEqual([...ids].sort().reverse());
  expect(sizes).toEqual([3, 3, 1]);
});

test('a bake that was closed by mistake is opened again, goes on, and keeps what it said', async () => {
  const id = await started();
  await recordTaps(here, id, [tapOf({ type: 'closed', outcome: { ...emptyOutcome, pieces: 8 } })]);
  await recordTaps(here, id, [tapOf({ type: 'reopened' }), tapOf(salt)]);
  expect((await underWay(here)).bakes.map((bake) => bake.id)).toEqual([id]);
  expect((await ended(here)).lines).toEqual([]);
  const bake = await loadBake(here, id);
  expect(bake && stateOf(bake)).toMatchObject({
    endedAtMs: null,
    outcome: null,
    earlierOutcomes: [{ outcome: { pieces: 8 } }],
    endings: [{ abandoned: null }],
  });
  await recordTaps(here, id, [tapOf({ type: 'abandoned', reason: 'burnt' })]);
  expect((await underWay(here)).bakes).toEqual([]);
  expect((await ended(here)).lines.map((each) => each.id)).toEqual([id]);
});

test('an id that stands for something else already is refused, and its neighbours are saved', async () => {
  const [one, other] = [await started(), await started()];
  const first = tapOf(salt);
  await recordTaps(here, one, [first]);
  const taken = await recordTaps(here, other, [tapOf({ type: 'noted', text: 'before' }), first, tapOf(salt)]);
  expect(taken).toMatchObject({
    value: { results: [{ problem: null }, { problem: { code: 'otherContent' } }, { problem: null }] },
  });
  expect((await loadBake(here, other))?.events).toHaveLength(2);
  const changed = await recordTaps(here, one, [
    { ...first, action: { type: 'noted', text: 'not the salt' } },
  ]);
  expect(changed).toMatchObject({ value: { results: [{ problem: { code: 'otherContent' } }] } });
  const again = await recordTaps(here, one, [{ ...first, agoMs: 5000 }]);
  expect(again).toMatchObject({ value: { results: [{ problem: null }] } });
  expect((await loadBake(here, one))?.events).toHaveLength(1);
});

describe('moving a kitchen in', () => {
  const demo = () =>
    JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')) as { bakes: { formula: string }[] };

  test('is all or nothing, happens once, and keeps every revision and event', async () => {
    const fresh = await testDatabase();
    const mover = { pool: fresh.pool, newId: randomUUID };
    const broken = demo();
    broken.bakes.at(-1)!.formula = 'nobody';
    expect(await importKitchen(mover, broken)).toMatchObject({ ok: false });
    const count = async () =>
      (
        await fresh.pool.query(
          `select (select count(*)::int from kitchen) as kitchens, (select count(*)::int from formula_revision) as revisions,
                  (select count(*)::int from bake) as bakes, (select count(*)::int from bake_event) as events`,
        )
      ).rows[0] as Record<string, number>;
    expect(await count()).toEqual({ kitchens: 0, revisions: 0, bakes: 0, events: 0 });
    const as = { requestId: randomUUID() };
    const moved = await Promise.all([importKitchen(mover, demo(), as), importKitchen(mover, demo(), as)]);
    expect(new Set(moved.map((answer) => answer.ok && answer.value.id)).size).toBe(1);
    const file = JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')) as {
      formulas: { revisions: unknown[] }[];
      bakes: { events: unknown[] }[];
    };
    expect(await count()).toEqual({
      kitchens: 1,
      revisions: file.formulas.reduce((sum, { revisions }) => sum + revisions.length, 0),
      bakes: file.bakes.length,
      events: file.bakes.reduce((sum, { events }) => sum + events.length, 0),
    });
    await fresh.drop();
  });
});
