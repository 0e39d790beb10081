import { randomUUID } from 'node:crypto';
import { emptyOutcome, type BakeAction } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import { rollsWithMethod } from '@/core/run/testRuns';
import { formOf } from '@/core/slice';
import { testCut } from '@/core/slice/testCuts';
import { recordTaps, startBake } from '@/server/bakes';
import type { Context } from '@/server/context';
import { loadSliceLearning } from '@/server/cutsRead';
import { bakeForecast } from '@/server/forecasts';
import { createFormula } from '@/server/formulas';
import { bakeSlices, formulaSlices } from '@/server/slices';
import { taughtHere } from '@/server/taught';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
const clock = { ms: Date.UTC(2026, 10, 19, 5) };
beforeAll(async () => {
  db = await testDatabase();
  here = await db.kitchen(clock);
});
afterAll(() => db.drop());

const tap = async (bakeId: string, action: BakeAction) => {
  const taken = await recordTaps(here, bakeId, [{ eventId: randomUUID(), agoMs: 0, action }]);
  expect(taken).toMatchObject({ ok: true });
};
async function started(formulaId: string): Promise<string> {
  clock.ms += 86_400_000;
  const bake = await startBake(here, { requestId: randomUUID(), formulaId, revision: 1, batch: eightRolls });
  if (!bake.ok) throw new Error('no bake');
  return bake.value.id;
}
/** A bake that ended, and what was read of its cut. */
async function cut(formulaId: string, heightToWidth: number): Promise<{ bakeId: string; photoId: string }> {
  const bakeId = await started(formulaId);
  const photoId = randomUUID();
  await tap(bakeId, {
    type: 'photographed',
    photo: { photoId, of: 'cut', widthPx: 900, heightPx: 600, rungId: null },
  });
  await tap(bakeId, { type: 'closed', outcome: emptyOutcome });
  await tap(bakeId, { type: 'photoRead', photoId, crumb: testCut({ heightToWidth }) });
  return { bakeId, photoId };
}

test('what is read of cuts is in the next slice, the shelf, the next forecast and the page of what was learnt; put away or left out it teaches nothing', async () => {
  const formula = await createFormula(here, { requestId: randomUUID(), formula: rollsWithMethod() });
  if (!formula.ok) throw new Error('no formula');
  const { id } = formula.value;
  const shelf = async () => formOf((await formulaSlices(here, [id]))[id]!);
  const forecast = async () => (await bakeForecast(here, await started(id)))!.heat!.heightToWidth!;
  const [drawn, foretold] = [await shelf(), await forecast()];
  expect(await loadSliceLearning(here, id)).toBeNull();
  const first = await cut(id, 0.8 * drawn);
  const two = await bakeSlices(here, first.bakeId);
  // nothing taught before it: it is held to the books
  expect(formOf(two.slice!)).toBeCloseTo(drawn, 1);
  expect(formOf(two.next!)).toBeLessThan(0.95 * formOf(two.slice!));
  await cut(id, 0.8 * drawn);
  const last = await cut(id, 0.8 * drawn);
  const learning = (await loadSliceLearning(here, id))!;
  expect(learning.bakes).toBe(3);
  expect(learning.form.value).toBeGreaterThan(0.75);
  expect(learning.form.value).toBeLessThan(0.92);
  expect(learning.miss!).toBeLessThan(0.5 * learning.missBefore!);
  expect(await shelf()).toBeCloseTo(drawn * learning.form.value, 3);
  expect((await forecast()) / foretold).toBeCloseTo(learning.form.value, 3);
  // whoever asked leaves while it is looked up what cuts taught: no forecast without it is saved for good
  const gone = new AbortController();
  const query = (...asked: Parameters<typeof here.pool.query>) => {
    if ((asked[0] as { name?: string }).name === 'cut-signatures') gone.abort();
    return here.pool.query(...asked);
  };
  const pool = new Proxy(here.pool, {
    get: (is, key) => (key === 'query' ? query : (Reflect.get(is, key) as unknown)),
  });
  const left = await started(id);
  expect(await bakeForecast({ ...here, pool }, left, gone.signal)).toBeNull();
  expect((await bakeForecast(here, left))!.heat!.heightToWidth! / foretold).toBeCloseTo(
    learning.form.value,
    3,
  );
  // a bake is held to what was known before it, however much is known by now
  expect(formOf((await bakeSlices(here, first.bakeId)).slice!)).toBe(formOf(two.slice!));
  expect((await taughtHere(here)).slices).toMatchObject([{ formulaId: id, learning: { bakes: 3 } }]);
  await tap(last.bakeId, { type: 'photoPutAway', photoId: last.photoId, away: true });
  expect((await loadSliceLearning(here, id))!.bakes).toBe(2);
  await tap(first.bakeId, { type: 'teachingSet', teaches: false });
  expect((await loadSliceLearning(here, id))!.bakes).toBe(1);
  expect(await loadSliceLearning(await db.kitchen(clock), id)).toBeNull();
});
