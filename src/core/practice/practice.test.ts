import { ordinaryScales } from '../batch';
import { loafSheet } from '../batch/testBatch';
import { stateOf, type BakeAction, type BakeRecord } from '../bake';
import type { Formula } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { newStep, type MethodStep } from '../method';
import { ORDINARY_KITCHEN, riseAsked } from '../run';
import { FAULT, type PracticeFault } from './faults';
import { heatAsked } from './heatAsked';
import { litOvenC, seriesAt, truthOf, type Truth } from './truth';

const T0 = 1_800_000_000_000;
const MIN = 60_000;
const step = (kind: MethodStep['kind'], min: number, more: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, kind),
  minS: 60 * min,
  ...more,
});
const loaf: Formula = {
  ...plainLoaf(),
  stages: plainLoaf().stages.map((stage, index) => (index === 0 ? { ...stage, lines: [...stage.lines, line('instant-yeast', 6)] } : stage)),
  steps: [step('mix', 5, { tempC: 26 }), step('proof', 60, { tempC: 28 }), step('bake', 45, { tempC: 220 }), step('cool', 120)],
}; // prettier-ignore
const bakeOf = (...happened: readonly (readonly [number, BakeAction])[]): BakeRecord => ({
  id: 'b', formulaId: 'f', revision: 1, startedAtMs: T0, sheet: loafSheet(980, ordinaryScales, 1, loaf),
  events: happened.map(([min, action], index) => ({ seq: index + 1, atMs: T0 + min * MIN, action })),
}); // prettier-ignore
const done = (stepId: string): BakeAction => ({ type: 'stepDone', stepId });
const clock = (stepId: string, min: number): BakeAction => ({
  type: 'timerStarted',
  stepId,
  durationS: min * 60,
});
const day = (seed: number, ...faults: PracticeFault[]) => ({ seed, faults });

function rising(seed: number, ...faults: PracticeFault[]) {
  const bake = bakeOf([0, done('mix')]);
  const asked = riseAsked(bake, stateOf(bake), 'proof', loaf, libraryBook, ORDINARY_KITCHEN, T0 + MIN)!;
  return truthOf({ of: 'rise', asked, day: day(seed, ...faults) }) as Truth & { of: 'rise' };
} // prettier-ignore

const BAKED = [[0, done('mix')], [60, done('proof')], [60, clock('bake', 45)]] as const; // prettier-ignore
function baking(stepId: 'bake' | 'cool', minutesIn: number, ...faults: PracticeFault[]) {
  const bake = bakeOf(...BAKED, ...(stepId === 'cool' ? ([[60 + minutesIn, done('bake')]] as const) : []));
  const asked = heatAsked(bake, stateOf(bake), stepId, loaf, libraryBook, ORDINARY_KITCHEN)!;
  expect(asked.sinceMs).toBe(T0 + 60 * MIN);
  return truthOf({ of: 'heat', ...asked, day: day(3, ...faults) }) as Truth & { of: 'heat' };
} // prettier-ignore

const grownAt = (truth: Truth & { of: 'rise' }, min: number) =>
  seriesAt(truth.atMs, truth.grown, T0 + min * MIN)!;
const coreAt = (truth: Truth & { of: 'heat' }, min: number) =>
  seriesAt(truth.atMs, truth.coreC, T0 + (60 + min) * MIN)!;

test('a day is one of many that the models hold for possible: the same seed is the same day, others lie about the middle', () => {
  expect(rising(1)).toEqual(rising(1));
  const at60 = Array.from({ length: 24 }, (_, seed) => grownAt(rising(seed), 60));
  const mean = at60.reduce((sum, each) => sum + each, 0) / at60.length;
  const sd = Math.sqrt(at60.reduce((sum, each) => sum + (each - mean) ** 2, 0) / at60.length);
  // other days, not other breads
  expect(sd / mean).toBeGreaterThan(0.04);
  expect(sd / mean).toBeLessThan(0.4);
  // as it begins it has not grown, and it grows all the time until it is near its top
  const one = rising(1);
  expect(Math.abs(grownAt(one, 0))).toBeLessThan(1);
  expect(grownAt(one, 30)).toBeLessThan(grownAt(one, 60));
});

test('yeast that is half dead takes about twice as long to the same height', () => {
  const [fresh, old] = [rising(5), rising(5, 'oldYeast')];
  const reached = (truth: Truth & { of: 'rise' }, percent: number) =>
    (truth.atMs[truth.grown.findIndex((grown) => grown >= percent)]! - T0) / MIN;
  const ratio = reached(old, 40) / reached(fresh, 40);
  expect(ratio).toBeGreaterThan(1.4);
  expect(ratio).toBeLessThan(2.4);
});

test('a loaf bakes on for as long as nobody takes it out, and cools from how long it really was in', () => {
  const inIt = baking('bake', 0);
  expect(coreAt(inIt, 0)).toBeLessThan(40);
  expect(coreAt(inIt, 45)).toBeGreaterThan(87);
  expect(coreAt(inIt, 65)).toBeGreaterThan(95);
  expect(inIt.atMs.at(-1)! - T0).toBeGreaterThan((60 + 100) * MIN);
  const brown = (min: number) => seriesAt(inIt.atMs, inIt.brown, T0 + (60 + min) * MIN)!;
  expect(brown(90)).toBeGreaterThan(1.5 * brown(45));
  const [short, long] = [baking('cool', 25), baking('cool', 60)];
  expect(coreAt(short, 25)).toBeLessThan(coreAt(long, 60) - 3);
  expect(coreAt(short, 25)).toBeCloseTo(coreAt(inIt, 25), -0.5);
  expect(coreAt(long, 60 + 120)).toBeLessThan(45);
});

test('an oven that is colder than its dial shows it in the core and on a thermometer', () => {
  const [right, cold] = [baking('bake', 0), baking('bake', 0, 'coldOven')];
  expect(coreAt(right, 30) - coreAt(cold, 30)).toBeGreaterThan(3);
  const around = (truth: Truth & { of: 'heat' }) => seriesAt(truth.atMs, truth.aroundC, T0 + 100 * MIN)!;
  expect(around(right) - around(cold)).toBeCloseTo(FAULT.coldC, -1);
  const { oven } = heatAsked(bakeOf(...BAKED), stateOf(bakeOf(...BAKED)), 'bake', loaf, libraryBook, ORDINARY_KITCHEN)!.question;
  expect(litOvenC(oven, 220, 21, 0, day(1))).toBeCloseTo(21, 0);
  expect(litOvenC(oven, 220, 21, 7200, day(1)) - litOvenC(oven, 220, 21, 7200, day(1, 'coldOven'))).toBeCloseTo(FAULT.coldC, -1);
}); // prettier-ignore

test('nothing is asked of what is not in the heat', () => {
  const bake = bakeOf([0, done('mix')]);
  for (const stepId of ['proof', 'bake', 'cool', 'nowhere'])
    expect(heatAsked(bake, stateOf(bake), stepId, loaf, libraryBook, ORDINARY_KITCHEN)).toBeNull();
});
