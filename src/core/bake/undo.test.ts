import { loafSheet } from '../batch/testBatch';
import { libraryBook } from '../ingredients';
import { afterEvent, bakeState, type BakeState } from './bakeState';
import type { BakeAction } from './bakeEvent';
import { decide } from './decide';
import { undoOf } from './undo';

const sheet = loafSheet();
const MIN = 60_000;
/** A minute after one another; what may not be is a fault of the test. */
const after = (state: BakeState, ...actions: readonly BakeAction[]) =>
  actions.reduce((so, action) => {
    expect(decide(sheet, so, action, libraryBook)).toEqual({ ok: true, value: action });
    return afterEvent(so, { seq: so.lastSeq + 1, atMs: (so.lastSeq + 1) * MIN, action });
  }, state);
const weigh = (massG: number): BakeAction => ({ type: 'weighed', lineId: 'salt', massG });
const part = (massG: number): BakeAction => ({ type: 'weighedPart', lineId: 'salt', massG });
const clock: BakeAction = { type: 'timerStarted', stepId: 'proof', durationS: 3600 };
const done: BakeAction = { type: 'stepDone', stepId: 'proof' };

/** What a baker sees of it. */
const seen = ({ weighed, parts, leftOut, steps, lit, trials, rises }: BakeState, atMs: number) => ({
  weighed: [...weighed].map(([id, { massG }]) => [id, massG]),
  parts: [...parts],
  leftOut: [...leftOut],
  lit: lit.length,
  trials: [...trials],
  rises: rises.length,
  steps: [...steps].flatMap(([id, { doneAtMs, skippedAtMs, timer }]) => {
    const endsMs = timer && timer.stoppedAtMs === null ? timer.startedAtMs + timer.durationS * 1000 : null;
    // one that is stopped is no longer what it was, and one that never was is as one that is
    return doneAtMs ?? skippedAtMs ?? endsMs ? [[id, doneAtMs !== null, skippedAtMs !== null, endsMs && Math.max(endsMs, atMs)]] : [];
  }),
}); // prettier-ignore

test.each<[string, BakeAction[], BakeAction]>([
  ['a weighing', [], weigh(10)],
  ['a correction of one', [weigh(10)], weigh(12)],
  ['a weighing after parts', [part(4), part(3)], weigh(10)],
  ['a part', [part(4)], part(3)],
  ['a weighing that was taken back', [weigh(10)], { type: 'unweighed', lineId: 'salt' }],
  ['leaving out', [part(4)], { type: 'leftOut', lineId: 'salt' }],
  ['putting in again what was left out', [{ type: 'leftOut', lineId: 'salt' }], { type: 'unweighed', lineId: 'salt' }],
  ['a step that is done, its clock running', [clock], done],
  ['a step that is skipped', [], { type: 'stepSkipped', stepId: 'proof' }],
  ['opening a step again', [done], { type: 'stepReopened', stepId: 'proof' }],
  ['opening a skipped one again', [{ type: 'stepSkipped', stepId: 'proof' }], { type: 'stepReopened', stepId: 'proof' }],
  ['a clock', [], clock],
  ['more time', [clock], { type: 'timerChanged', stepId: 'proof', deltaS: 300 }],
  ['a clock that was stopped', [clock], { type: 'timerStopped', stepId: 'proof' }],
  ['a trial', [], { type: 'trialBegun', stepId: 'proof', pieces: 1, durationS: 900 }],
  ['an oven that is on', [], { type: 'lit', ovenId: null, setC: 230 }],
  ['a mark', [], { type: 'rise', stepId: 'proof', of: 'jar', grownPercent: 40 }],
])('%s is taken back: it is as it was', (_, earlier, action) => {
  const before = after(bakeState(0, []), ...earlier);
  const then = after(before, action);
  const nowMs = (then.lastSeq + 1) * MIN;
  const back = after(then, ...undoOf(before, action, nowMs));
  expect(seen(then, nowMs)).not.toEqual(seen(before, nowMs));
  expect(seen(back, nowMs).steps.map((step) => step.slice(0, 3))).toEqual(seen(before, nowMs).steps.map((step) => step.slice(0, 3)));
  // the clock ends when it would have, to the minute that the taking back took
  const ends = (state: BakeState) => Number(seen(state, nowMs).steps[0]?.[3] ?? 0);
  expect(Math.abs(ends(back) - ends(before))).toBeLessThanOrEqual(MIN);
  expect({ ...seen(back, nowMs), steps: [] }).toEqual({ ...seen(before, nowMs), steps: [] });
}); // prettier-ignore

test('what was said, read or ended has no way back here', () => {
  for (const action of [{ type: 'noted', text: 'damp' }, { type: 'abandoned', reason: '' }, { type: 'felt', stepId: 'mix', band: 'soft' }] as const)
    expect(undoOf(bakeState(0, []), action, 0)).toEqual([]);
}); // prettier-ignore
