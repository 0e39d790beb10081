import { randomUUID } from 'node:crypto';
import { emptyOutcome, type BakeAction } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import { plainLoaf } from '@/core/formula/testFormulas';
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
