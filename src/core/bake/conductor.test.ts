import { plainLoaf } from '../formula/testFormulas';
import { newStep, type StepKind } from '../method';
import { activitiesOf } from '../process/activities';
import { alikeOpen, asSetAnew, isTold, passesOf, roundOf } from './conductor';
import { bakeState } from './bakeState';
import type { BakeAction } from './bakeEvent';

// five rings, two at a time, thirty seconds a side, then baked as one load
const steps = [
  { ...newStep('shape', 'shape'), minS: 300 },
  { ...newStep('boil', 'boil'), minS: 30, sides: 2, atATime: 2, tempC: 99 },
  { ...newStep('bake', 'bake'), minS: 1500, tempC: 220 },
];
const activities = activitiesOf({ wayId: null, steps, pieces: 5, fits: () => 9 });
const sheet = {
  ...plainLoaf(),
  activities,
  ways: [],
  steps: activities.map(({ id, stepId }) => ({ ...steps.find((step) => step.id === stepId)!, id })),
} as never as Parameters<typeof roundOf>[0];
const after = (...actions: readonly [number, BakeAction][]) =>
  bakeState(
    0,
    actions.map(([atS, action], index) => ({ seq: index + 1, atMs: atS * 1000, action })),
  );
const start = (stepId: string, durationS = 30): BakeAction => ({ type: 'timerStarted', stepId, durationS });
const done = (stepId: string): BakeAction => ({ type: 'stepDone', stepId });

test('loads and sides are called one after another: turned as the first side ends, and the next load when it boils again', () => {
  const round = roundOf(sheet, after(), 'boil-1-1')!;
  expect(round.calls.map(({ step, call }) => `${step.id} ${call.pieces}`)).toEqual(['boil-1-1 2', 'boil-1-2 2', 'boil-2-1 2', 'boil-2-2 2', 'boil-3-1 1', 'boil-3-2 1']);
  expect([round.at, round.next?.step.id, round.goesOn, round.hotAgainMs]).toEqual([0, 'boil-1-2', true, null]);
  const turned = after([10, start('boil-1-1')], [40, done('boil-1-1')], [40, start('boil-1-2')]);
  const second = roundOf(sheet, turned, 'boil-1-2')!;
  expect([second.calls.map(({ state }) => state).slice(0, 3), second.next?.step.id, second.goesOn]).toEqual([['done', 'running', 'open'], 'boil-2-1', false]);
  const out = after([10, start('boil-1-1')], [40, done('boil-1-1')], [40, start('boil-1-2')], [72, done('boil-1-2')]);
  // a minute until the kettle boils again (processOf: RECOVERS_S), counted from when the load came out
  expect(roundOf(sheet, out, 'boil-2-1')).toMatchObject({ hotAgainMs: 132_000, next: { step: { id: 'boil-2-2' } }, goesOn: true });
  // a load that was left out of the round took no heat along
  expect(roundOf(sheet, after([5, { type: 'stepSkipped', stepId: 'boil-1-1' }], [6, { type: 'stepSkipped', stepId: 'boil-1-2' }]), 'boil-2-1')?.hotAgainMs).toBeNull();
  expect([roundOf(sheet, after(), 'shape'), roundOf(sheet, after(), 'bake'), roundOf(sheet, after(), 'nowhere')]).toEqual([null, null, null]);
}); // prettier-ignore

test('a trial goes first: its clock is its own, its load is still to be done, and what it took is what the clock said', () => {
  const trial: BakeAction = { type: 'trialBegun', stepId: 'bake', pieces: 1, durationS: 1500 };
  const looked: BakeAction = { type: 'looked', stepId: 'bake', coreC: 91, colour: 'pale' };
  const under = after([0, trial]);
  expect([under.trials.get('bake'), under.steps.get('bake')?.timer?.durationS]).toEqual([1, 1500]);
  const state = after([0, trial], [1500, looked]);
  expect([state.trials.size, state.steps.get('bake')?.timer, state.steps.get('bake')?.doneAtMs]).toEqual([0, null, null]);
  expect(state.looks).toEqual([{ stepId: 'bake', trialOf: 1, coreC: 91, colour: 'pale', tookS: 1500, atMs: 1_500_000 }]);
  // a load that is done took from in to out, whenever somebody looks
  expect(after([100, start('bake', 1500)], [1700, done('bake')], [1760, looked]).looks).toMatchObject([{ trialOf: null, tookS: 1600 }]);
}); // prettier-ignore

test('what is set anew holds for all that is alike and still to come: other loads and sides, not what is in or done', () => {
  const state = after([0, start('boil-1-1')], [30, done('boil-1-1')], [31, start('boil-1-2')], [60, start('boil-2-1')]);
  expect(alikeOpen(sheet, state, 'boil-1-1')).toEqual(['boil-2-2', 'boil-3-1', 'boil-3-2']);
  // two sides are one load's whole time; what is done once is its own
  expect(['boil-1-1', 'boil-3-2', 'bake', 'shape'].map((id) => passesOf(sheet, id))).toEqual([2, 2, 1, 1]);
  expect(alikeOpen(sheet, after(), 'bake')).toEqual(['bake']);
  const anew = after([0, { type: 'setAnew', stepIds: ['boil-3-1', 'bake'], durationS: 45, tempC: null }], [1, { type: 'setAnew', stepIds: ['bake'], durationS: 1680, tempC: 235 }]);
  expect(sheet.steps.map((step) => asSetAnew(step, anew)).slice(-3).map(({ id, minS, maxS, tempC }) => [id, minS, maxS, tempC])).toEqual([
    ['boil-3-1', 45, null, 99],
    ['boil-3-2', 30, null, 99],
    ['bake', 1680, null, 235],
  ]);
}); // prettier-ignore

test('what is done when it comes out tells for the rest: not a ring that is only boiled, nor the first half of a bake', () => {
  const of = (...kinds: StepKind[]) => {
    const all = kinds.map((kind, at) => newStep(kind, `s${at}`));
    return all.map(({ id }) => isTold({ ...sheet, steps: all, activities: [] }, id));
  };
  expect(['boil-1-1', 'bake', 'shape', 'nowhere'].map((id) => isTold(sheet, id))).toEqual([
    false,
    true,
    false,
    false,
  ]);
  expect(of('proof', 'bake', 'cool')).toEqual([false, true, false]);
  expect(of('bake', 'rotate', 'bake', 'cool')).toEqual([false, false, false, false]);
  expect(of('bake', 'coast')).toEqual([false, false]);
  expect(of('fry', 'cool', 'bake')).toEqual([true, false, true]);
});
