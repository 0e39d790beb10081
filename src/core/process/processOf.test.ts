import fc from 'fast-check';
import { newStep, STEP_KINDS, type MethodStep, type StepKind } from '../method';
import { activitiesOf, type Activity } from './activities';
import { processOf } from './processOf';

const step = (kind: StepKind, min: number | null, part: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, part.id ?? kind),
  minS: min === null ? null : min * 60,
  ...part,
});
const calls = (steps: readonly MethodStep[], pieces: number | null, fits = Infinity, wayId: string | null = null) => {
  const byId = new Map(steps.map((each) => [each.id, each]));
  return activitiesOf({ wayId, steps, pieces, fits: () => fits }).map((activity: Activity) => ({
    activity,
    step: byId.get(activity.stepId)!,
  }));
}; // prettier-ignore
const told = (process: ReturnType<typeof processOf>) =>
  process.activities.map(
    ({ kind, load, startS, endS }) => `${kind}${load ? ` ${load.at}` : ''} ${startS / 60}-${endS / 60}`,
  );

test('one after the other, the oven heated while it proofs; what nobody timed is as usual, and said to be', () => {
  const process = processOf(
    calls([step('mix', 6), step('proof', 60), step('preheat', 20), step('bake', 40), step('cool', null)], 1),
  );
  expect(told(process)).toEqual(['mix 0-6', 'proof 6-66', 'preheat 46-66', 'bake 66-106', 'cool 106-196']);
  expect(process.endS / 60).toBe(196);
  expect(process.activities.map(({ lasts }) => lasts.by)).toEqual(['said', 'said', 'said', 'said', 'usual']);
  // a rise may wait a fifth of its time, the mixing 20 min; the bake 5
  expect(process.activities.map(({ mayWaitS }) => mayWaitS / 60)).toEqual([20, 12, 60, 5, 720]);
});

test('loads go through one oven, with its recovery between; the second waits, and cools beside the third', () => {
  const process = processOf(calls([step('shape', 10), step('bake', 20), step('cool', 30)], 24, 8));
  expect(told(process)).toEqual([
    'shape 0-10',
    'bake 1 10-30',
    'bake 2 34-54',
    'bake 3 58-78',
    'cool 78-108',
  ]);
  expect(process.activities.map(({ waitedS }) => waitedS / 60)).toEqual([0, 0, 24, 48, 0]);
  // the heat of this bread may know it better
  const known = processOf(calls([step('bake', 20)], 16, 8), { oven: 600 });
  expect(told(known)).toEqual(['bake 1 0-20', 'bake 2 30-50']);
  // shaped, they bear 20 min
  expect(process.activities.map(({ tooLongS }) => tooLongS / 60)).toEqual([0, 0, 4, 28, 0]);
});

test('two breads of one dough: each goes on by itself, and the oven is one', () => {
  const trunk = calls([step('mix', 10)], null);
  const tin = calls([step('proof', 60, { id: 'a' }), step('bake', 50, { id: 'b' })], 1, 1, 'tin');
  const rolls = calls([step('proof', 40, { id: 'c' }), step('bake', 20, { id: 'd' })], 8, Infinity, 'rolls');
  const process = processOf([...trunk, ...tin, ...rolls]);
  expect(told(process)).toEqual(['mix 0-10', 'proof 10-70', 'bake 70-120', 'proof 10-50', 'bake 120-140']);
  expect(process.activities.at(-1)?.waitedS).toBe(70 * 60);
  // proofed for 40 min they bear a fifth of that
  expect(process.activities.at(-1)?.tooLongS).toBe(62 * 60);
  // nothing was done to it yet that could suffer
  expect(processOf(calls([step('bake', 20)], 4, 2)).activities.map(({ tooLongS }) => tooLongS)).toEqual([
    0, 0,
  ]);
});

test('sides and loads: ten rings two at a time, both sides of a load before the next goes in', () => {
  const process = processOf(calls([step('boil', 1, { sides: 2, atATime: 2 })], 10));
  expect(told(process).slice(0, 4)).toEqual(['boil 1 0-1', 'boil 1 1-2', 'boil 2 3-4', 'boil 2 4-5']);
  expect(process.endS / 60).toBe(14);
});

test('whatever the method: nothing begins before the batch, nothing overlaps in one oven, and times are ranges in order', () => {
  const any = fc.array(
    fc.record({
      kind: fc.constantFrom(...STEP_KINDS),
      min: fc.option(fc.integer({ min: 1, max: 90 }), { nil: null }),
      each: fc.option(fc.integer({ min: 1, max: 5 }), { nil: undefined }),
    }),
    { minLength: 1, maxLength: 14 },
  );
  fc.assert(
    fc.property(any, fc.integer({ min: 1, max: 12 }), (of, pieces) => {
      const steps = of.map(({ kind, min, each }, at) => step(kind, min, { id: `s${at}`, ...(each && { atATime: each }) })); // prettier-ignore
      const { activities, endS } = processOf(calls(steps, pieces));
      const alone = activities.filter(({ resource, beside }) => resource === 'oven' && !beside);
      for (const each of activities) {
        expect(each.startS).toBeGreaterThanOrEqual(0);
        expect(each.endS).toBeLessThanOrEqual(endS);
        expect(each.lasts.minS).toBeLessThanOrEqual(each.lasts.typicalS);
        expect(each.lasts.typicalS).toBeLessThanOrEqual(each.lasts.maxS);
      }
      for (const [at, one] of alone.entries())
        for (const other of alone.slice(at + 1))
          expect(other.startS >= one.endS - 1e-6 || other.endS <= one.startS + 1e-6).toBe(true);
    }),
    { numRuns: 200, seed: 5 },
  );
});
