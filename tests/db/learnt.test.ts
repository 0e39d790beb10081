import { randomUUID } from 'node:crypto';
import type { BakeAction } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import type { Formula } from '@/core/formula';
import { line, plainLoaf } from '@/core/formula/testFormulas';
import { recordTaps, startBake } from '@/server/bakes';
import type { Context } from '@/server/context';
import { createFormula } from '@/server/formulas';
import { loadLearnt, markedBakes } from '@/server/learnt';
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

const loaf: Formula = {
  ...plainLoaf(),
  stages: plainLoaf().stages.map((stage, index) =>
    index === 0 ? { ...stage, lines: [...stage.lines, line('instant-yeast', 6)] } : stage,
  ),
};
const stepId = (kind: Formula['steps'][number]['kind']) => loaf.steps.find((step) => step.kind === kind)!.id;
const jar = (grownPercent: number): BakeAction => ({
  type: 'rise',
  stepId: stepId('proof'),
  of: 'jar',
  grownPercent,
});

async function made(): Promise<string> {
  const formula = await createFormula(here, { requestId: randomUUID(), formula: loaf });
  if (!formula.ok) throw new Error('no formula');
  return formula.value.id;
}
/** A bake whose mixing ended at once and in which these marks were made, an hour apart. */
async function baked(formulaId: string, ...marks: BakeAction[]): Promise<void> {
  const bake = await startBake(here, { requestId: randomUUID(), formulaId, revision: 1, batch: eightRolls });
  if (!bake.ok) throw new Error('no bake');
  const tap = (action: BakeAction) =>
    recordTaps(here, bake.value.id, [{ eventId: randomUUID(), agoMs: 0, action }]);
  clock.ms += 60_000;
  await tap({ type: 'stepDone', stepId: stepId('mix') });
  for (const mark of marks) {
    clock.ms += 3_600_000;
    await tap(mark);
  }
  clock.ms += 3_600_000;
  await tap({ type: 'abandoned', reason: '' });
}

test('what a formula’s jars showed is learnt from its bakes, and from its own alone', async () => {
  const formulaId = await made();
  expect(await loadLearnt(here, formulaId)).toBeNull();
  await baked(formulaId, jar(4));
  const slow = await loadLearnt(here, formulaId);
  expect(slow).toMatchObject({ marks: 1, days: 1 });
  expect(slow!.learnt.vigour.value).toBeLessThan(0.97);
  await baked(formulaId, jar(4), jar(10));
  const slower = await loadLearnt(here, formulaId);
  expect(slower).toMatchObject({ marks: 3, days: 2 });
  expect(slower!.learnt.vigour.value).toBeLessThan(slow!.learnt.vigour.value);
  expect(await loadLearnt(here, await made())).toBeNull();
  expect(await loadLearnt(await db.kitchen(), formulaId)).toBeNull();
});

test('a slip that was taken back teaches nothing, and each mark changes what is remembered of a formula', async () => {
  const formulaId = await made();
  await baked(formulaId, jar(300), { type: 'riseTakenBack', stepId: stepId('proof') });
  expect(await loadLearnt(here, formulaId)).toBeNull();
  const before = (await markedBakes(here, null)).get(formulaId)!.signature;
  await baked(formulaId, jar(30));
  expect((await markedBakes(here, null)).get(formulaId)!.signature).not.toBe(before);
});
