import { randomUUID } from 'node:crypto';
import { emptyOutcome, type BakeAction } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import { plainLoaf } from '@/core/formula/testFormulas';
import { listRisenBakes } from '@/db/queries/bakes';
import { loadBakes } from '@/server/bakeRecords';
import { recordTaps, startBake } from '@/server/bakes';
import type { Context } from '@/server/context';
import { createFormula, loadStory, saveFormula } from '@/server/formulas';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
beforeAll(async () => {
  db = await testDatabase();
  here = await db.kitchen();
});
afterAll(() => db.drop());

test('versions carry the mean scores of their own bakes; what was given up, or goes on, is none of them', async () => {
  const made = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!made.ok) throw new Error('no formula');
  const { id } = made.value;
  await saveFormula(here, {
    id,
    requestId: randomUUID(),
    seen: 1,
    formula: { ...plainLoaf(), about: 'anew' },
  });
  const bake = async (revision: number, ...actions: BakeAction[]) => {
    const started = await startBake(here, { requestId: randomUUID(), formulaId: id, revision, batch: eightRolls }); // prettier-ignore
    if (!started.ok) throw new Error('no bake');
    const taps = actions.map((action) => ({ eventId: randomUUID(), agoMs: 0, action }));
    if (taps.length > 0) await recordTaps(here, started.value.id, taps);
    return started.value.id;
  };
  const closed = (crumb: number | null, crust: number | null = null): BakeAction => ({
    type: 'closed',
    outcome: { ...emptyOutcome, scores: { ...emptyOutcome.scores, crumb, crust } },
  });
  const first = await bake(1, closed(2, 5));
  await bake(1, closed(5));
  await bake(1, { type: 'abandoned', reason: 'the power went' });
  await bake(1);
  const third = await bake(2, closed(null));
  const { revisions } = await loadStory(here, id, null);
  expect(revisions.map(({ number, baked }) => [number, baked])).toEqual([
    [2, { bakes: 1, crumb: null, crust: null, chew: null, flavour: null }],
    [1, { bakes: 2, crumb: 3.5, crust: 5, chew: null, flavour: null }],
  ]);
  // corrected it counts as it is now
  const put = { type: 'outcomeCorrected' as const, outcome: { ...emptyOutcome, scores: { ...emptyOutcome.scores, crumb: 3 } } }; // prettier-ignore
  await recordTaps(here, first, [{ eventId: randomUUID(), agoMs: 0, action: put }]);
  const [, one] = (await loadStory(here, id, null)).revisions;
  expect(one!.baked).toMatchObject({ bakes: 2, crumb: 4, crust: null });

  // several bakes come in the order they were asked for, and none of another kitchen
  const ids = [third, randomUUID(), first];
  expect((await loadBakes(here, ids)).map((each) => each.id)).toEqual([third, first]);
  expect(await loadBakes(await db.kitchen(), ids)).toEqual([]);
});

test('a ladder is started once for its wish, on the sheet it was planned on, tasted rung by rung, and teaches its formula nothing', async () => {
  const made = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!made.ok) throw new Error('no formula');
  const ladder = { axis: 'water' as const, values: [-5, 0, 5], pieces: 1, pieceMassG: 400 };
  const wish = {
    requestId: randomUUID(),
    formulaId: made.value.id,
    revision: 1,
    batch: { mode: 'factor' as const, factor: 1, pieceMassG: 400, bowlLossPercent: 0 },
    ladder,
  };
  const started = await startBake(here, wish);
  if (!started.ok) throw new Error(JSON.stringify(started.failure));
  expect(await startBake(here, wish)).toEqual(started);
  const clash = { ok: false, failure: { kind: 'otherContent' } };
  expect(await startBake(here, { ...wish, ladder: { ...ladder, values: [-5, 0, 6] } })).toEqual(clash);
  const { ladder: _, ...plain } = wish;
  expect(await startBake(here, plain)).toEqual(clash);
  expect(
    await startBake(here, { ...wish, requestId: randomUUID(), ladder: { ...ladder, values: [5, 0] } }),
  ).toMatchObject({
    failure: { problems: [{ code: 'notAllowed', path: 'ladder.values' }] },
  });
  const [bake] = await loadBakes(here, [started.value.id]);
  const { rungs } = bake!.sheet.ladder!;
  expect(rungs.map(({ value }) => value)).toEqual([-5, 0, 5]);
  expect(new Set(rungs.map(({ code }) => code)).size).toBe(3);
  const [proof] = bake!.sheet.steps.filter(({ kind }) => kind === 'proof');
  const tasting = (rungId: string | null) => ({
    eventId: randomUUID(),
    agoMs: 0,
    action: {
      type: 'tasted' as const,
      tastingId: randomUUID(),
      tasting: {
        taster: null,
        occasion: 'fresh' as const,
        scores: { verdict: 4 },
        words: '',
        rungId,
        blind: true,
      },
    },
  });
  const marks = [
    { type: 'timerStarted' as const, stepId: proof!.id, durationS: 60 },
    { type: 'rise' as const, stepId: proof!.id, of: 'dough' as const, grownPercent: 40 },
    { type: 'closed' as const, outcome: emptyOutcome },
  ].map((action) => ({ eventId: randomUUID(), agoMs: 0, action }));
  const taken = await recordTaps(here, started.value.id, [
    ...marks,
    tasting(rungs[1]!.id),
    tasting(null),
    tasting('elsewhere'),
  ]);
  if (!taken.ok) throw new Error('not taken');
  expect(taken.value.results.map(({ problem }) => problem?.code ?? null)).toEqual([
    null,
    null,
    null,
    null,
    'unknownRung',
    'unknownRung',
  ]);
  expect(await listRisenBakes(here.pool, here.kitchen.id, made.value.id, 9)).toEqual([]);
});
