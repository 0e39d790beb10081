import { ordinaryScales, planBatch } from '../batch';
import { loafSheet } from '../batch/testBatch';
import type { BakeAction, BakeRecord } from '../bake';
import { learnRise } from '../fermentation';
import { volumesAt } from '../fermentation/riseSimulation';
import type { Formula } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { newStep, type StepKind } from '../method';
import { ORDINARY_KITCHEN, riseObservations } from '.';

const loaf: Formula = {
  ...plainLoaf(),
  stages: plainLoaf().stages.map((stage, index) =>
    index === 0 ? { ...stage, lines: [...stage.lines, line('instant-yeast', 6)] } : stage,
  ),
};
const sheet = loafSheet(980, ordinaryScales, 1, loaf);
const T0 = 1_000_000_000;
const [mix, proof] = [
  sheet.steps.find(({ kind }) => kind === 'mix')!.id,
  sheet.steps.find(({ kind }) => kind === 'proof')!.id,
];
/** A bake in which these things happened so many minutes after its start. */
const bake = (...happened: readonly (readonly [number, BakeAction])[]): BakeRecord => ({
  id: 'b', formulaId: 'f', revision: 1, startedAtMs: T0, sheet,
  events: happened.map(([min, action], index) => ({ seq: index + 1, atMs: T0 + min * 60_000, action })),
}); // prettier-ignore
const done = (stepId: string): BakeAction => ({ type: 'stepDone', stepId });
const rise = (grownPercent: number, of: 'jar' | 'dough' = 'jar'): BakeAction => ({
  type: 'rise', stepId: proof, of, grownPercent,
}); // prettier-ignore
const seen = (record: BakeRecord) => riseObservations(record, loaf, libraryBook, ORDINARY_KITCHEN);

test('marks are counted from the end of mixing, through the times the steps really took', () => {
  const [jar, dough] = seen(bake([10, done(mix)], [50, rise(30)], [70, rise(45, 'dough')], [80, rise(60)]));
  expect(jar!.points).toEqual([
    { atS: 2400, sinceS: 0, grown: 1.3 },
    { atS: 4200, sinceS: 0, grown: 1.6 },
  ]);
  expect(dough!.points).toMatchObject([{ atS: 3600, grown: 1.45 }]);
  // a jar is small and is not knocked back
  expect(jar!.question.stays.every((stay) => stay.pieceG === 80 && stay.pressedOut === 0)).toBe(true);
  expect(dough!.question.stays[0]!.pieceG).toBeGreaterThan(400);
  const total = jar!.question.stays.reduce((sum, stay) => sum + stay.durationS, 0) + jar!.question.beyondS!;
  expect(total).toBeGreaterThanOrEqual(4200);
  // weighed twice the yeast: a faster history
  const plain = volumesAt(jar!.question, [2400], 1, 1)[0]!;
  const yeast = sheet.stages
    .flatMap(({ lines }) => lines)
    .find(({ ingredientId }) => /yeast/.test(ingredientId))!;
  const [quick] = seen(
    bake([5, { type: 'weighed', lineId: yeast.id, massG: yeast.massG * 2 }], [10, done(mix)], [50, rise(30)]),
  );
  expect(volumesAt(quick!.question, [2400], 1, 1)[0]!).toBeGreaterThan(plain + 0.02);
});

test('a slip is taken back; without an end of mixing, or before it, a mark says nothing', () => {
  const taken = bake([10, done(mix)], [50, rise(30)], [51, { type: 'riseTakenBack', stepId: proof }]);
  expect(seen(taken)).toEqual([]);
  expect(seen(bake([50, rise(30)]))).toEqual([]);
  expect(seen(bake([5, rise(3)], [10, done(mix)]))).toEqual([]);
  expect(seen(bake([10, done(mix)]))).toEqual([]);
});

test('marks of a slow day teach that it is slower', () => {
  const [fast] = seen(bake([10, done(mix)], [50, rise(30)], [100, rise(30)]));
  const [at, later] = volumesAt(fast!.question, [2400, 5400], 0.7, 1);
  const slow = seen(bake([10, done(mix)], [50, rise(100 * (at! - 1))], [100, rise(100 * (later! - 1))]));
  expect(learnRise(slow)!.learnt.vigour.value).toBeLessThan(0.93);
});

test('of a dough that parts each mark is of its own bread: its steps, its pieces; what was marked before it parted counts once', () => {
  const step = (kind: StepKind, id: string, minutes: number) => ({ ...newStep(kind, id), minS: 60 * minutes });
  const parted: Formula = {
    ...loaf,
    steps: [step('mix', 'mix', 5), step('bulk', 'bulk', 30)],
    ways: [
      { id: 'tin', name: 'Tin', amount: { kind: 'pieces', pieces: 1, pieceMassG: 500 }, steps: [step('shape', 'st', 2), step('proof', 'pt', 60), step('bake', 'bt', 40)], bakedAs: { shape: 'tin', lengthCm: null, widthCm: null, tin: 'dark', perLoad: null } },
      { id: 'rolls', name: 'Rolls', amount: { kind: 'pieces', pieces: 5, pieceMassG: 80 }, steps: [step('divide', 'dr', 4), step('proof', 'pr', 40), step('bake', 'br', 20)], bakedAs: { shape: 'roll', lengthCm: null, widthCm: null, tin: null, perLoad: null } },
    ],
  };
  const plan = planBatch(parted, { mode: 'factor', factor: 1, pieceMassG: 500, bowlLossPercent: 0 }, ordinaryScales, libraryBook);
  if (!plan.ok) throw new Error(plan.problem.code);
  const mark = (stepId: string, grownPercent: number): BakeAction => ({ type: 'rise', stepId, of: 'dough', grownPercent });
  const record = { ...bake([10, done('mix')], [30, mark('bulk', 20)], [45, done('bulk')], [90, mark('pt', 60)], [80, mark('pr', 50)]), sheet: plan.value };
  const found = riseObservations(record, parted, libraryBook, ORDINARY_KITCHEN);
  expect(found.map(({ points }) => points.map(({ atS }) => atS / 60))).toEqual([[20, 80], [70]]);
  const [tin, rolls] = found.map(({ question }) => question.stays.map(({ standing, pieceG, durationS }) => [standing, Math.round(pieceG), durationS / 60]));
  expect(tin!.slice(1)).toEqual([['tin', 500, 2], ['tin', 500, 43]]);
  expect(rolls!.slice(1)).toEqual([['pieces', 80, 4], ['pieces', 80, 31]]);
}); // prettier-ignore
