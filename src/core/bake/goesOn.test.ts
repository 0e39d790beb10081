import { ordinaryScales } from '../batch';
import { loafSheet } from '../batch/testBatch';
import type { BatchSheet } from '../batch/batchSheet';
import { plainLoaf } from '../formula/testFormulas';
import { newStep, type MethodStep } from '../method';
import { libraryBook } from '../ingredients';
import { bakeState, goesInAfter, missingAt, stillToWeigh, type BakeAction } from '.';
import { decideAll } from './decideAll';
import { withWhatGoesOn } from './goesOn';

const T0 = 1_000_000;
const step = (
  id: string,
  kind: MethodStep['kind'],
  min: number | null,
  more: Partial<MethodStep> = {},
): MethodStep => ({ ...newStep(kind, id), minS: min === null ? null : 60 * min, ...more });
const formula = {
  ...plainLoaf(),
  steps: [step('bloom', 'bloom', 10, { handsOn: true, takes: ['psyllium-husk', 'water'].map((lineId) => ({ lineId, share: 1 })) }), step('mix', 'mix', 5), step('bulk', 'bulk', 40), step('shape', 'shape', null), step('proof', 'proof', 60),
    step('hot', 'preheat', 30), step('bake', 'bake', 20), step('on', 'bake', 25), step('cool', 'cool', 120)],
}; // prettier-ignore
const sheet: BatchSheet = loafSheet(980, ordinaryScales, 1, formula);
const after = (...actions: BakeAction[]) =>
  bakeState(T0, actions.map((action, at) => ({ seq: at + 1, atMs: T0 + at * 1000, action }))); // prettier-ignore
const done = (stepId: string): BakeAction => ({ type: 'stepDone', stepId });
const clock = (stepId: string, min: number): BakeAction => ({
  type: 'timerStarted',
  stepId,
  durationS: 60 * min,
});
const weighed = (lineId: string, massG: number): BakeAction => ({ type: 'weighed', lineId, massG });
const press = (before: readonly BakeAction[], ...actions: BakeAction[]) => {
  const state = after(...before);
  const all = withWhatGoesOn(sheet, state, actions, T0 + 60_000);
  // all of it can be
  expect(decideAll(sheet, state, all, T0 + 60_000, libraryBook).ok).toBe(true);
  return all.slice(actions.length);
};

test('the wait after hands are done has begun; baking goes on; what needs a hand does not', () => {
  expect(press([], done('mix'))).toEqual([clock('bulk', 40)]);
  expect(press([], done('bulk'))).toEqual([]);
  expect(press([], done('shape'))).toEqual([clock('proof', 60)]);
  // to the oven is a way to go, and a door to open
  expect(press([], done('proof'))).toEqual([]);
  expect(press([], done('bake'))).toEqual([clock('on', 25)]);
  expect(press([], done('on'))).toEqual([clock('cool', 120)]);
  // what runs already, or is over, is left as it is
  expect(press([clock('bulk', 7)], done('mix'))).toEqual([]);
  expect(press([done('bulk')], done('mix'))).toEqual([]);
});

test('a bloom, stirred or not, has begun when the last of it is in, whichever that is; a flour begins nothing', () => {
  const bloom = sheet.stages.flatMap(({ lines }) => lines).filter(({ atStepId }) => atStepId === 'bloom');
  expect(bloom.map(({ id }) => id).sort()).toEqual(['psyllium-husk', 'water']);
  expect(press([], weighed('water', 400))).toEqual([]);
  expect(press([weighed('water', 400)], weighed('psyllium-husk', 20))).toEqual([clock('bloom', 10)]);
  expect(press([weighed('psyllium-husk', 20)], weighed('water', 400))).toEqual([clock('bloom', 10)]);
  expect(press([weighed('psyllium-husk', 20), weighed('water', 400)], weighed('white-rice-flour', 300))).toEqual([]);
  const left = { ...sheet, steps: sheet.steps.map((each) => ({ ...each, handsOn: each.kind === 'bulk' })) };
  const water = [weighed('psyllium-husk', 20)];
  expect(withWhatGoesOn(left, after(...water), [weighed('water', 400)], T0)).toEqual([weighed('water', 400), clock('bloom', 10)]);
  // a bulk that hands are in is theirs to begin
  expect(withWhatGoesOn(left, after(), [done('mix')], T0)).toEqual([done('mix')]);
  // a correction later is none
  expect(press([weighed('psyllium-husk', 20), weighed('water', 400), clock('bloom', 10)], weighed('water', 410))).toEqual([]);
}); // prettier-ignore

test('as the bread goes in, the oven’s heating is over; and a press of several goes on from the last', () => {
  expect(press([], clock('bake', 20))).toEqual([done('hot')]);
  expect(press([done('hot')], clock('bake', 20))).toEqual([]);
  // for another time than is written: the press has it
  expect(press([], done('mix'), clock('bulk', 7))).toEqual([]);
  const all = withWhatGoesOn(sheet, after(), [done('mix'), done('shape')], T0);
  expect(all).toEqual([done('mix'), clock('bulk', 40), done('shape'), clock('proof', 60)]);
});

test('what lies on the bread is asked for while the oven heats, before the bread is in it', () => {
  const asked = (...actions: BakeAction[]) =>
    stillToWeigh(sheet, after(...actions)).now.some(({ id }) => id === 'poppy-seed');
  const risen = ['bloom', 'mix', 'bulk', 'shape'].map(done);
  expect(asked(...risen)).toBe(false);
  expect(asked(...risen, done('proof'))).toBe(true);
  const state = after(...risen, done('proof'));
  // the oven may be lit without it, the bread does not go in unasked
  expect(missingAt(sheet, state, 'hot')).toEqual([]);
  expect(missingAt(sheet, state, 'bake').map(({ id }) => id)).toEqual(['poppy-seed']);
  expect(goesInAfter(sheet, state, 'hot')?.id).toBe('bake');
  // it is not risen yet; or it is in; or nothing heats there
  expect(goesInAfter(sheet, after(...risen), 'hot')).toBeNull();
  expect(goesInAfter(sheet, after(...risen, done('proof'), clock('bake', 20)), 'hot')).toBeNull();
  expect(goesInAfter(sheet, state, 'bake')).toBeNull();
});
