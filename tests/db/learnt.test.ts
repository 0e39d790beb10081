import { randomUUID } from 'node:crypto';
import type { BakeAction } from '@/core/bake';
import type { Band } from '@/core/consistency';
import { eightRolls } from '@/core/batch/testBatch';
import type { Formula } from '@/core/formula';
import { line, plainLoaf } from '@/core/formula/testFormulas';
import { ORDINARY_KIT } from '@/core/kit';
import { recordTaps, startBake } from '@/server/bakes';
import type { Context } from '@/server/context';
import { createFormula } from '@/server/formulas';
import { saveEntry } from '@/server/ingredients';
import { saveKit } from '@/server/kit';
import { riseSignatures } from '@/db/queries/bakeCards';
import { loadJars, loadLearnt } from '@/server/learnt';
import { loadAbsorption } from '@/server/absorption';
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
  // it stands in the room, however warm that is
  steps: plainLoaf().steps.map((step) => (step.kind === 'proof' ? { ...step, tempC: null } : step)),
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
async function baked(formulaId: string, ...marks: BakeAction[]): Promise<string> {
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
  return bake.value.id;
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

test('a mark is read in the room as it was known that day: a warmer one since then teaches nothing of the old', async () => {
  const formulaId = await made();
  const keepRoom = async (roomC: number, seen: number) => {
    const stored = await saveKit(here, { requestId: randomUUID(), seen, kit: { ...ORDINARY_KIT, roomC } });
    if (!stored.ok) throw new Error('no kit');
  };
  const vigour = async () => (await loadLearnt(here, formulaId))!.learnt.vigour.value;
  await baked(formulaId, jar(12));
  // the first that is ever said of the room is true of the days before it
  const said = await vigour();
  await keepRoom(17, 0);
  const cold = await vigour();
  expect(cold).toBeGreaterThan(said);
  clock.ms += 86_400_000;
  await keepRoom(29, 1);
  expect(await vigour()).toBe(cold);
  // the same mark in the warm room is a lazier yeast
  await baked(formulaId, jar(12));
  expect(await vigour()).toBeLessThan(cold);
});

test('a slip that was taken back teaches nothing, and each mark changes what is remembered of a formula', async () => {
  const formulaId = await made();
  await baked(formulaId, jar(300), { type: 'riseTakenBack', stepId: stepId('proof') });
  expect(await loadLearnt(here, formulaId)).toBeNull();
  const signature = async () =>
    (await riseSignatures(here.pool, here.kitchen.id, [formulaId], 12)).get(formulaId);
  expect(await signature()).toBeUndefined();
  await baked(formulaId, jar(20));
  const before = await signature();
  await baked(formulaId, jar(30));
  const after = await signature();
  expect([before, after].map((each) => typeof each)).toEqual(['string', 'string']);
  expect(after).not.toBe(before);
});

test('what hands felt moves what the powders drink; taken over it is not learnt a second time; put away it is forgotten', async () => {
  const formulaId = await made();
  const felt = (band: Band): BakeAction => ({ type: 'felt', stepId: stepId('proof'), band });
  expect(await loadAbsorption(here)).toEqual([]);
  await baked(formulaId, felt('crumbly'));
  const once = await loadAbsorption(here);
  const psyllium = once.find(({ ingredientId }) => ingredientId === 'psyllium-husk')!;
  expect(psyllium.after.value).toBeGreaterThan(psyllium.before.value);
  expect(psyllium.feels).toBe(1);
  expect(await loadAbsorption(await db.kitchen())).toEqual([]);

  const bag = {
    kind: 'bag' as const, id: 'psyllium-husk', bag: 'felt once at the bench', source: '', learntFrom: 1,
    changes: { absorption: { gPerG: psyllium.after, tauMin: 12 } },
  }; // prettier-ignore
  expect((await saveEntry(here, { requestId: randomUUID(), seen: 0, entry: bag, away: false })).ok).toBe(
    true,
  );
  expect((await here.book()).get('psyllium-husk')!.absorption!.gPerG.value).toBe(11);
  const again = db.sameKitchen(here);
  expect((await again.book()).get('psyllium-husk')!.absorption!.gPerG.value).toBe(psyllium.after.value);
  expect(await loadAbsorption(again)).toEqual(once);
  // what the baker measured is believed instead
  const measured = {
    ...bag,
    learntFrom: undefined,
    changes: { absorption: { gPerG: { value: 9, sd: 0.3 }, tauMin: 12 } },
  };
  expect(
    (await saveEntry(again, { requestId: randomUUID(), seen: 1, entry: measured, away: false })).ok,
  ).toBe(true);
  const then = (await loadAbsorption(db.sameKitchen(here))).find(
    ({ ingredientId }) => ingredientId === 'psyllium-husk',
  )!;
  expect(then.before).toEqual({ value: 9, sd: 0.3 });
});

test('a jar of yeast shows itself in every dough; a new one begins anew; which one it was can be corrected; strangers see nothing', async () => {
  const [loafId, otherId] = [await made(), await made()];
  const jarOf = async (code: string, seen: number, openedOn: string) => {
    const entry = {
      kind: 'lot' as const, id: `own-${code}`, of: 'instant-yeast', code, openedOn, bestBefore: null, open: true,
    }; // prettier-ignore
    const saved = await saveEntry(here, { requestId: randomUUID(), seen, entry, away: false });
    if (!saved.ok) throw new Error(JSON.stringify(saved));
    here = db.sameKitchen(here);
  };
  await jarOf('tall', 0, '2026-10-01');
  await baked(loafId, jar(4), jar(10));
  const vigour = async (formulaId: string) => (await loadLearnt(here, formulaId))?.learnt.vigour.value;
  const slow = (await vigour(loafId))!;
  expect(slow).toBeLessThan(0.95);
  // another dough of the same jar knows it before it was ever marked itself
  expect(await vigour(otherId)).toBe(slow);
  expect(await loadJars(here)).toMatchObject([{ lotId: 'own-tall', marks: 2, vigour: { value: slow } }]);
  const bake = await baked(otherId, jar(4), jar(10));
  const slower = (await vigour(loafId))!;
  expect(slower).toBeLessThan(slow);

  await jarOf('new', 0, '2026-11-15');
  expect(await vigour(loafId)).toBeCloseTo(1, 6);
  expect(await loadJars(here)).toEqual([]);
  // the last bake was made with the new one after all
  const other: BakeAction = { type: 'lotUsed', ingredientId: 'instant-yeast', lotId: 'own-new' };
  const say = (action: BakeAction) => recordTaps(here, bake, [{ eventId: randomUUID(), agoMs: 0, action }]);
  expect(await say(other)).toMatchObject({ value: { results: [{ problem: null }] } });
  expect(await vigour(loafId)).toBeLessThan(0.97);
  expect(await say({ ...other, lotId: 'own-nothing' })).toMatchObject({
    value: { results: [{ problem: { code: 'unknownLot' } }] },
  });

  const stranger = await db.kitchen();
  expect(await loadJars(stranger)).toEqual([]);
  expect((await stranger.book()).get('instant-yeast')!.lots).toBeUndefined();
});

test('a recipe that works teaches a bag before the first feel, and feels go on from there', async () => {
  const works = { bagG: 500, waterG: 520, oilG: 0, eggG: 0, standMin: 20, band: 'soft' as const };
  const entry = {
    kind: 'bag' as const, id: 'bought-blend-gum', bag: 'as a recipe that works', source: '', works,
    changes: { absorbs: { value: 1.2, sd: 0.08 } },
  }; // prettier-ignore
  expect((await saveEntry(here, { requestId: randomUUID(), seen: 0, entry, away: false })).ok).toBe(true);
  const [learnt] = await loadAbsorption(db.sameKitchen(here));
  expect(learnt).toMatchObject({
    ingredientId: 'bought-blend-gum',
    of: 'whole',
    feels: 1,
    before: { value: 1 },
  });
  expect(learnt!.after.value).toBeGreaterThan(1.05);
});
