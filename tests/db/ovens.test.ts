import { randomUUID } from 'node:crypto';
import type { BakeAction } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import { ORDINARY_KIT } from '@/core/kit';
import { heatUpTimes } from '@/core/kit/heatUpTimes';
import { rollsWithMethod } from '@/core/run/testRuns';
import { bakesUnderWay, recordTaps, startBake } from '@/server/bakes';
import type { Context } from '@/server/context';
import { createFormula } from '@/server/formulas';
import { timersUnderWay } from '@/server/timers';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
beforeAll(async () => {
  db = await testDatabase();
  here = await db.kitchen();
});
afterAll(() => db.drop());

async function started(formulaId: string): Promise<string> {
  const bake = await startBake(here, { requestId: randomUUID(), formulaId, revision: 1, batch: eightRolls });
  if (!bake.ok) throw new Error('no bake');
  return bake.value.id;
}
const tap = (id: string, ...actions: BakeAction[]) =>
  recordTaps(here, id, actions.map((action) => ({ eventId: randomUUID(), agoMs: 0, action }))); // prettier-ignore

test('an oven that a bake will ask for is told to every page, by what the kit says it takes, until it is lit or the bake is over', async () => {
  const formula = await createFormula(here, { requestId: randomUUID(), formula: rollsWithMethod() });
  const id = await started(formula.ok ? formula.value.id : '');
  const { startedAtMs } = (await bakesUnderWay(here, { after: null, most: 9 })).bakes.find((bake) => bake.id === id)!;
  await tap(id, { type: 'timerStarted', stepId: 'proof', durationS: 3000 });
  const asked = async () => (await timersUnderWay(await db.kitchen(), null)).ovens.filter(({ bakeId }) => bakeId === id);
  const heatUpS = heatUpTimes(ORDINARY_KIT, ORDINARY_KIT.ovens[0])({ ovenId: null, setC: 205, plate: null });
  // mixing and shaping are still to be said to be done: five minutes each
  expect(await asked()).toEqual([
    {
      bakeId: id,
      bakeName: expect.any(String) as string,
      kitchen: here.kitchen.address,
      oven: { stepId: 'bake', ovenId: null, ovenName: ORDINARY_KIT.ovens[0]!.name, setC: 205, plate: null, leadS: heatUpS, wait: { endsMs: [expect.any(Number)], thenS: 600 } },
    },
  ]);
  expect((await asked())[0]!.oven.wait.endsMs[0]! - startedAtMs).toBeGreaterThanOrEqual(3_000_000);
  await tap(id, { type: 'lit', ovenId: null, setC: 205 });
  expect(await asked()).toEqual([]);
  const other = await started(formula.ok ? formula.value.id : '');
  const told = async (only: string | null) => {
    const { ovens, timers } = await timersUnderWay(await db.kitchen(), only);
    return [...ovens, ...timers].filter(({ kitchen }) => kitchen === here.kitchen.address).length;
  };
  // a device of the network knows its own kitchen alone
  expect([await told(null), await told(here.kitchen.address), await told('elsewhere')]).toEqual([2, 2, 0]);
  expect((await timersUnderWay(here, null)).ovens.map(({ bakeId }) => bakeId)).toContain(other);
  await tap(other, { type: 'abandoned', reason: '' });
  expect((await timersUnderWay(here, null)).ovens.map(({ bakeId }) => bakeId)).not.toContain(other);
}); // prettier-ignore
