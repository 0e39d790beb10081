import { ordinaryScales } from '../batch';
import { loafSheet } from '../batch/testBatch';
import { stateOf, type BakeAction, type BakeRecord } from '../bake';
import { riseCurve } from '../fermentation';
import type { Formula } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { newStep, type MethodStep } from '../method';
import { ORDINARY_KITCHEN, riseAsked, riseNow, type RiseNow } from '.';

const T0 = 1_000_000_000;
const step = (kind: MethodStep['kind'], min: number, more: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, kind),
  minS: 60 * min,
  ...more,
});
const loaf = (proof: Partial<MethodStep> = {}): Formula => ({
  ...plainLoaf(),
  stages: plainLoaf().stages.map((stage, index) =>
    index === 0 ? { ...stage, lines: [...stage.lines, line('instant-yeast', 6)] } : stage,
  ),
  steps: [step('mix', 5, { tempC: 26 }), step('bulk', 40), step('shape', 5), step('proof', 60, { tempC: 28, ...proof }), step('bake', 40, { tempC: 220 })],
}); // prettier-ignore
const bake = (formula: Formula, happened: readonly (readonly [number, BakeAction])[]): BakeRecord => ({
  id: 'b', formulaId: 'f', revision: 1, startedAtMs: T0, sheet: loafSheet(980, ordinaryScales, 1, formula),
  events: happened.map(([min, action], index) => ({ seq: index + 1, atMs: T0 + min * 60_000, action })),
}); // prettier-ignore
const done = (stepId: string): BakeAction => ({ type: 'stepDone', stepId });
const rise = (grownPercent: number): BakeAction => ({
  type: 'rise',
  stepId: 'proof',
  of: 'dough',
  grownPercent,
});
const read = (tempC: number, of: 'dough' | 'room' = 'dough', stepId = 'proof'): BakeAction => ({ type: 'reading', of, tempC, stepId }); // prettier-ignore
const PROOFING = [
  [0, done('mix')],
  [40, done('bulk')],
  [46, done('shape')],
] as const;
const asked = (more: readonly (readonly [number, BakeAction])[] = [], formula = loaf(), atStep = 'proof', nowMin = 100) => {
  const record = bake(formula, [...PROOFING.filter(([min]) => min < nowMin), ...more]);
  return riseAsked(record, stateOf(record), atStep, formula, libraryBook, ORDINARY_KITCHEN, T0 + nowMin * 60_000);
}; // prettier-ignore
const now = (...of: Parameters<typeof asked>): RiseNow => riseNow(asked(...of)!)!;
const min = (ms: number | null) => (ms === null ? null : Math.round((ms - T0) / 60_000));
const near = (all: readonly number[], { atMs }: RiseNow, minute: number) =>
  all[atMs.findIndex((ms) => ms >= T0 + minute * 60_000)]!;

test('without a mark it is the forecast of the timeline, told by the clock and against when the step began', () => {
  const question = asked()!;
  const plain = riseCurve(question.question);
  if (!plain.ok) throw new Error(plain.problem.code);
  const told = riseNow(question)!;
  expect(question).toMatchObject({ beganS: 46 * 60, isLast: true, wantedPercent: null, marked: [] });
  expect(told.ready!.value).toBeCloseTo(T0 + plain.value.wantedAtS.value! * 1000, 3);
  // shaped at 40 min and pressed: the step begins anew, and all is told against there
  expect(told.grown[0]).toBeCloseTo(0, 0);
  expect(min(told.atMs[0]!)).toBeGreaterThanOrEqual(46);
  expect([min(told.ready!.value), Math.round(told.wantedPercent!), Math.round(told.topPercent.value)]).toEqual([146, 25, 30]); // prettier-ignore
  expect(told.movedS).toBeNull();
});

test('a mark on the curve narrows it; one below or above moves it, later or earlier', () => {
  const plain = now();
  const width = (told: RiseNow, minute: number) =>
    near(told.high, told, minute) - near(told.low, told, minute);
  const as = near(plain.grown, plain, 90);
  const onIt = now([[90, rise(as)]]);
  expect(near(onIt.grown, onIt, 90)).toBeCloseTo(as, 0);
  expect(width(onIt, 90)).toBeLessThan(0.9 * width(plain, 90));
  const slow = now([[90, rise(as / 2)]]);
  const fast = now([[90, rise(as * 1.5)]]);
  expect(near(slow.grown, slow, 90)).toBeLessThan(as - 2);
  expect(near(fast.grown, fast, 90)).toBeGreaterThan(as + 2);
  // where the one before said it already, the newest moves little
  expect(slow.movedS!).toBeGreaterThan(120);
  expect(fast.movedS!).toBeLessThan(-120);
  const again = now([[80, rise(as / 2.6)], [90, rise(as / 2)]]); // prettier-ignore
  expect(again.marks).toBe(2);
  expect(Math.abs(again.movedS!)).toBeLessThan(slow.movedS!);
});

test('a mark it cannot reach: that is said, with the most and from when on waiting is no use', () => {
  const told = now([], loaf({ cue: { kind: 'grown', percent: 100 } }));
  expect(told).toMatchObject({ wantedPercent: 100, ready: { value: null, chance: 0 } });
  expect(told.topPercent.high).toBeLessThan(100);
  expect(near(told.grown, told, min(told.nearTopMs)!)).toBeCloseTo(0.95 * told.topPercent.value, 0);
  // one it can: reached when the curve is there
  const can = now([], loaf({ cue: { kind: 'grown', percent: 20 } }));
  expect(near(can.grown, can, min(can.ready!.value)!)).toBeCloseTo(20, -1);
  expect(can.ready!.value!).toBeLessThan(now().ready!.value!);
});

test('thermometers set it anew: a warm dough is earlier, a cold room later, and the dough is where it was read', () => {
  const plain = now();
  const warm = now([[2, read(32, 'dough', 'bulk')]]);
  expect(warm.ready!.value!).toBeLessThan(plain.ready!.value! - 4 * 60_000);
  // the bulk stood in the room; what proofs by its own heat does not care
  const cold = now([[20, read(15, 'room', 'bulk')]]);
  expect(cold.ready!.value!).toBeGreaterThan(plain.ready!.value! + 4 * 60_000);
  const later = now([[90, read(24)]]);
  expect(near(later.doughC, later, 90)).toBeCloseTo(24, 0);
  expect(later.ready!.value!).toBeGreaterThan(plain.ready!.value!);
});

test('in bulk nothing is waited for that nobody asked: how far it is, and no time', () => {
  const told = now([], loaf(), 'bulk', 20);
  expect(told).toMatchObject({ ready: null, wantedPercent: null });
  expect(near(told.grown, told, 40)).toBeGreaterThan(5);
});

test('nothing is said of what does not rise, is not mixed, or is not begun', () => {
  expect(asked([], loaf(), 'shape')).toBeNull();
  expect(asked([], loaf(), 'bake')).toBeNull();
  expect(asked([], loaf(), 'proof', 5)).toBeNull();
  const unmixed = bake(loaf(), []);
  expect(riseAsked(unmixed, stateOf(unmixed), 'proof', loaf(), libraryBook, ORDINARY_KITCHEN, T0 + 60_000)).toBeNull(); // prettier-ignore
});
