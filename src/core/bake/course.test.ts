import { ordinaryScales, planBatch } from '../batch';
import { eightRolls, loafSheet } from '../batch/testBatch';
import { line, plainLoaf } from '../formula/testFormulas';
import type { Formula } from '../formula';
import { batchStrands } from '../day/strandsOf';
import { libraryBook } from '../ingredients';
import { newStep, type MethodStep } from '../method';
import { NO_ROOM } from '../process/room';
import { afterEvent, bakeState, isStepDone, targetG, timerLeftS, type BakeState } from './bakeState';
import { nextThing } from './toWeigh';
import { bakeActionSchema, type BakeAction } from './bakeEvent';
import { canChangeTin, coldCourse, lostCourse, lostPieces, tinCourse, tinNow, yeastCourse } from './course';
import { decide } from './decide';
import { runningCard } from './runningCard';
import { runningTimers } from './runningTimers';
import { sheetNow } from './sheetNow';
import { undoOf } from './undo';

const step = (kind: MethodStep['kind'], min: number, more: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, kind),
  minS: 60 * min,
  ...more,
});
const formula: Formula = {
  ...plainLoaf(),
  stages: plainLoaf().stages.map((stage, index) =>
    index === 0 ? { ...stage, lines: [...stage.lines, line('instant-yeast', 6)] } : stage,
  ),
  steps: [step('mix', 5), step('bulk', 60), step('shape', 5), step('proof', 50, { tempC: 28, cue: { kind: 'grown', percent: 40 } }), step('bake', 40, { tempC: 220 })],
}; // prettier-ignore
const sheet = loafSheet(980, ordinaryScales, 1, formula);
const MIN = 60_000;
const UNKNOWN = { onS: null, grownPercent: null };
/** Each of these, so many minutes after the start; every one of them has to be allowed. */
function after(...happened: readonly (readonly [number, BakeAction])[]): BakeState {
  return happened.reduce(
    (state, [min, action]) => {
      const allowed = decide(sheet, state, action, libraryBook);
      if (!allowed.ok)
        throw new Error(`${action.type}: ${allowed.problem.code} ${allowed.problem.path ?? ''}`);
      return afterEvent(state, { seq: state.lastSeq + 1, atMs: min * MIN, action });
    },
    bakeState(0, []),
  );
}
const at = (min: number, actions: readonly BakeAction[]) => actions.map((action) => [min, action] as const);
const done = (stepId: string): BakeAction => ({ type: 'stepDone', stepId });
const clock = (stepId: string, min: number): BakeAction => ({
  type: 'timerStarted',
  stepId,
  durationS: 60 * min,
});
const stepsOf = (state: BakeState) =>
  sheetNow(sheet, state).steps.map(({ id, minS }) => `${id} ${(minS ?? 0) / 60}`);
const BULK = [
  [5, done('mix')],
  [5, clock('bulk', 60)],
] as const;

test('into the fridge in the middle of a rise: what has begun ends, the cold follows, and what was left of it after that', () => {
  const before = after(...BULK);
  const course = coldCourse(sheet, before, 'bulk', 10 * 3600, UNKNOWN, 25 * MIN);
  const cold = after(...BULK, ...at(25, course));
  expect(stepsOf(cold)).toEqual(['mix 5', 'bulk 60', 'cold-3 600', 'on-3 40', 'shape 5', 'proof 50', 'bake 40']);
  expect(nextThing(sheetNow(sheet, cold), { ...cold, leftOut: new Set(sheet.stages.flatMap(({ lines }) => lines.map(({ id }) => id))) })).toMatchObject({ kind: 'step', stepId: 'cold-3', done: 2, of: 7 }); // prettier-ignore
  // the cold has a clock that rings like any other, and what follows it one of its own
  expect(runningTimers({ id: 'b', sheet }, cold)).toMatchObject([{ stepId: 'cold-3', stepKind: 'chill', endsAtMs: 625 * MIN }]);
  // asked of a sheet that holds them nothing comes twice
  expect(sheetNow(sheetNow(sheet, cold), cold).steps).toHaveLength(7);
  // the day takes it for what it is by now
  const blocks = batchStrands(sheetNow(sheet, cold)).flatMap((strand) => strand.blocks);
  expect(blocks.map(({ id, lastsS }) => `${id} ${lastsS.typical / 60}`)).toEqual(expect.arrayContaining(['cold-3 600', 'on-3 40']));
  // the sheet of the day stays what it was
  expect(sheet.steps).toHaveLength(5);
}); // prettier-ignore

test('what is to go on after the cold may be told; less than five minutes of it is no step; what has not begun comes after it', () => {
  const before = after(...BULK);
  const told = after(...BULK, ...at(25, coldCourse(sheet, before, 'bulk', 3600, { onS: 5400, grownPercent: null }, 25 * MIN)));
  expect(stepsOf(told).slice(1, 4)).toEqual(['bulk 60', 'cold-3 60', 'on-3 90']);
  const late = after(...BULK, ...at(62, coldCourse(sheet, before, 'bulk', 3600, UNKNOWN, 62 * MIN)));
  expect(stepsOf(late).slice(1, 4)).toEqual(['bulk 60', 'cold-3 60', 'shape 5']);
  // what has not begun is skipped, and comes after the cold as it was planned
  const first = after([5, done('mix')], ...at(6, coldCourse(sheet, after([5, done('mix')]), 'bulk', 3600, UNKNOWN, 6 * MIN)));
  expect(stepsOf(first)).toEqual(['mix 5', 'bulk 60', 'cold-2 60', 'on-2 60', 'shape 5', 'proof 50', 'bake 40']);
  expect(first.steps.get('bulk')).toMatchObject({ doneAtMs: null, skippedAtMs: 6 * MIN });
  // nothing goes into the fridge whose turn has not come
  expect(coldCourse(sheet, after([5, done('mix')]), 'proof', 3600, UNKNOWN, 6 * MIN)).toEqual([]);
  // what it waits for goes along, its time does not
  const proof = after(...BULK, [65, done('bulk')], [70, done('shape')], [70, clock('proof', 50)]);
  const on = (grownPercent: number | null) => {
    const [change] = coldCourse(sheet, proof, 'proof', 3600, { onS: null, grownPercent }, 80 * MIN);
    return change?.type === 'courseChanged' ? change.puts[1]!.step : null;
  };
  // 40 % of the whole are 16.7 % of what has grown by 20
  expect(on(20)).toMatchObject({ kind: 'proof', minS: 2400, tempC: 28, cue: { kind: 'grown', percent: 16.7 } });
  // nearly there, or nobody knows: then by the clock
  for (const grown of [37, null]) expect(on(grown)?.cue).toBeUndefined();
  for (const stepId of ['mix', 'bake', 'shape']) expect(coldCourse(sheet, before, stepId, 3600, UNKNOWN, 0)).toEqual([]);
}); // prettier-ignore

test('it is taken back until it has begun: the rise goes on with its clock as if nothing had been', () => {
  const before = after(...BULK);
  const course = coldCourse(sheet, before, 'bulk', 3600, UNKNOWN, 25 * MIN);
  const cold = at(25, course);
  const states = [before, after(...BULK, cold[0]!), after(...BULK, ...cold.slice(0, 2))];
  const back = course
    .map((action, index) => undoOf(states[index]!, action, 30 * MIN))
    .reverse()
    .flat();
  expect(back.map(({ type }) => type)).toEqual(['timerCleared', 'stepReopened', 'timerStarted', 'courseTakenBack']);
  const again = after(...BULK, ...cold, ...at(30, back));
  expect(stepsOf(again)).toEqual(stepsOf(before));
  expect(timerLeftS(again.steps.get('bulk')!.timer!, 30 * MIN)).toBe(35 * 60);
  const begun = after(...BULK, ...cold);
  expect(decide(sheet, begun, { type: 'courseTakenBack' }, libraryBook)).toMatchObject({ problem: { code: 'alreadyDone' } });
  expect(decide(sheet, before, { type: 'courseTakenBack' }, libraryBook)).toMatchObject({ problem: { code: 'notDoneYet' } });
}); // prettier-ignore

test('half the yeast while none is in: its line asks for half, its rises last as long as they take then', () => {
  const yeast = sheet.stages.flatMap(({ lines }) => lines).find(({ ingredientId }) => ingredientId === 'instant-yeast')!;
  const made = [step('bulk', 115), step('proof', 95), step('bake', 41)];
  const course = yeastCourse(sheet, after(), 0.5, formula.steps, made, libraryBook)!;
  expect(course).toMatchObject({ by: 'yeast', sets: [{ stepId: 'bulk', durationS: 6900 }, { stepId: 'proof', durationS: 5700 }] });
  const half = after([1, course]);
  expect(targetG(yeast, half)).toBeCloseTo(yeast.massG / 2, 2);
  expect(half.anew.get('bulk')).toMatchObject({ durationS: 6900 });
  // once is enough: a quarter is no half
  expect(yeastCourse(sheet, half, 0.5, formula.steps, made, libraryBook)).toBeNull();
  const back = after([1, course], [2, { type: 'courseTakenBack' }]);
  expect([targetG(yeast, back), back.anew.size]).toEqual([yeast.massG, 0]);
  // what was set since then stays
  const later: BakeAction = { type: 'setAnew', stepIds: ['proof', 'bake'], durationS: 1800, tempC: null };
  const since = after([1, course], [2, later], [3, { type: 'courseTakenBack' }]);
  expect([...since.anew.keys()].sort()).toEqual(['bake', 'proof']);
  // begun with a longer rise than is written: as much longer than that
  const slow = { ...sheet, steps: sheet.steps.map((each) => (each.id === 'bulk' ? { ...each, minS: 7200 } : each)) };
  expect(yeastCourse(slow, after(), 0.5, formula.steps, made, libraryBook)?.sets[0]).toEqual({ stepId: 'bulk', durationS: 13_800 });
  // some of it is in: too late
  const inPart = after([1, { type: 'weighedPart', lineId: yeast.id, massG: 1 }]);
  expect(yeastCourse(sheet, inPart, 0.5, formula.steps, made, libraryBook)).toBeNull();
  // mixed, whether anybody weighed it or not
  expect(yeastCourse(sheet, after([5, done('mix')]), 0.5, formula.steps, made, libraryBook)).toBeNull();
}); // prettier-ignore

test('a lost load: nothing more is asked of it, the others go on, and so many fewer come out', () => {
  const fried: Formula = { ...formula, steps: [step('mix', 5), step('fry', 1, { sides: 2, atATime: 3 }), step('cool', 20)] };
  const plan = planBatch(fried, eightRolls, ordinaryScales, libraryBook, NO_ROOM);
  if (!plan.ok) throw new Error(plan.problem.code);
  const frying = plan.value;
  const course = lostCourse(frying, after(), 'fry-2-1')!;
  expect(course).toMatchObject({ by: 'lost', drops: ['fry-2-1', 'fry-2-2'], lostPieces: 3 });
  const state = bakeState(0, [{ seq: 1, atMs: 0, action: course }]);
  expect(frying.steps.map(({ id }) => id).filter((id) => !isStepDone(state, id))).toEqual(['mix', 'fry-1-1', 'fry-1-2', 'fry-3-1', 'fry-3-2', 'cool']);
  expect(lostPieces(state)).toBe(3);
  expect(lostCourse(frying, state, 'fry-2-1')).toBeNull();
  expect(lostCourse(frying, state, 'mix')).toBeNull();
  const found = afterEvent(state, { seq: 2, atMs: 1, action: { type: 'courseTakenBack' } });
  expect([lostPieces(found), isStepDone(found, 'fry-2-1')]).toEqual([0, false]);
}); // prettier-ignore

test('a pause: every clock keeps what it has left, nothing rings, and what was stopped before stays stopped', () => {
  const stopped: BakeAction = { type: 'timerStopped', stepId: 'shape' };
  const paused = after(...BULK, [6, clock('shape', 30)], [10, stopped], [25, { type: 'paused' }]);
  expect(runningTimers({ id: 'b', sheet }, paused)).toEqual([]);
  const ovens = { heatUpS: () => 1200, nameOf: () => '' };
  const card = (state: BakeState) => runningCard({ id: 'b', sheet }, state, ovens);
  expect([card(paused).oven, card(paused).timers, card(paused).pausedAtMs]).toEqual([null, [], 25 * MIN]);
  expect(card(after(...BULK)).oven).not.toBeNull();
  const again = after(...BULK, [6, clock('shape', 30)], [10, stopped], [25, { type: 'paused' }], [625, { type: 'resumed' }]);
  expect(runningTimers({ id: 'b', sheet }, again)).toMatchObject([{ stepId: 'bulk', endsAtMs: 665 * MIN }]);
  expect(timerLeftS(again.steps.get('shape')!.timer!, 700 * MIN)).toBe(26 * 60);
  expect(again.pauses).toEqual([{ fromMs: 25 * MIN, toMs: 625 * MIN }]);
  expect(decide(sheet, paused, { type: 'paused' }, libraryBook).ok).toBe(false);
  expect(decide(sheet, again, { type: 'resumed' }, libraryBook).ok).toBe(false);
  // what another device did meanwhile is not undone by going on
  const meanwhile = after(...BULK, [25, { type: 'paused' }], [30, done('bulk')], [40, { type: 'resumed' }]);
  expect(runningTimers({ id: 'b', sheet }, meanwhile)).toEqual([]);
}); // prettier-ignore

test('a course that knows nothing of the bake is refused at its field, and changes nothing', () => {
  const state = after(...BULK);
  const [change] = coldCourse(sheet, state, 'bulk', 3600, UNKNOWN, 25 * MIN) as [Extract<BakeAction, { type: 'courseChanged' }>];
  const refused = (more: Partial<typeof change>) => {
    const answer = decide(sheet, state, { ...change, ...more }, libraryBook);
    return answer.ok ? null : [answer.problem.code, answer.problem.path];
  };
  const [put] = change.puts as [(typeof change.puts)[number]];
  expect(refused({ puts: [{ ...put, atStepId: 'nowhere' }] })).toEqual(['unknownStep', 'puts.0.atStepId']);
  expect(refused({ puts: [{ ...put, step: { ...put.step, id: 'bake' } }] })).toEqual(['alreadyDone', 'puts.0.step.id']);
  expect(refused({ drops: ['mix'] })).toEqual(['alreadyDone', 'drops.0']);
  expect(refused({ sets: [{ stepId: 'nowhere', durationS: 60 }] })).toEqual(['unknownStep', 'sets.0.stepId']);
  expect(refused({ targets: [{ lineId: 'nothing', massG: 1 }] })).toEqual(['unknownLine', 'targets.0.lineId']);
}); // prettier-ignore

test('another tin: every bake so many times as long, until one has been in the oven; taken back it is as planned', () => {
  const shaped = after([5, { type: 'stepDone', stepId: 'mix' }], [70, { type: 'stepDone', stepId: 'bulk' }], [75, { type: 'stepDone', stepId: 'shape' }]);
  const course = tinCourse(sheet, shaped, { name: 'The long one', rimPercent: 61.7 }, 0.8)!;
  expect(course).toMatchObject({ by: 'tin', sets: [{ stepId: 'bake', durationS: 32 * 60 }], tin: { name: 'The long one', rimPercent: 62 } });
  const put = afterEvent(shaped, { seq: 4, atMs: 80 * MIN, action: course });
  expect([put.anew.get('bake')?.durationS, tinNow(put)]).toEqual([1920, { name: 'The long one', rimPercent: 62 }]);
  const again = afterEvent(put, { seq: 5, atMs: 81 * MIN, action: { type: 'courseTakenBack' } });
  expect([again.anew.size, tinNow(again)]).toEqual([0, null]);
  // a second tin counts from what was planned, not from what the first made of it; and back is back
  const second = (times: number | null) => tinCourse(sheet, put, { name: 'The round one', rimPercent: 40 }, times)!.sets;
  expect([second(0.5), second(1), second(0.8), second(null)]).toEqual([
    [{ stepId: 'bake', durationS: 20 * 60 }],
    [{ stepId: 'bake', durationS: 40 * 60 }],
    [],
    [{ stepId: 'bake', durationS: 40 * 60 }],
  ]);
  // whatever its size it can be kept: the very shape that is sent
  for (const rimPercent of [-80, 5000]) expect(bakeActionSchema.safeParse(tinCourse(sheet, shaped, { name: 'x', rimPercent }, 1)).success).toBe(true);
  // nobody knows how long: the times stay, and the core decides
  expect(tinCourse(sheet, shaped, { name: 'x', rimPercent: 10 }, null)?.sets).toEqual([]);
  expect(tinCourse(sheet, shaped, { name: 'x', rimPercent: 10 }, 1.001)?.sets).toEqual([]);
  const inOven = afterEvent(put, { seq: 5, atMs: 130 * MIN, action: { type: 'timerStarted', stepId: 'bake', durationS: 1920 } });
  expect([canChangeTin(sheet, shaped), canChangeTin(sheet, inOven), tinCourse(sheet, inOven, { name: 'x', rimPercent: 10 }, 1)]).toEqual([true, false, null]);
  // a tin belongs to that course, and that course to a tin
  const { tin, ...without } = course;
  expect(decide(sheet, shaped, without, libraryBook)).toMatchObject({ problem: { code: 'required', path: 'tin' } });
  expect(decide(sheet, shaped, { ...course, by: 'cold', tin: tin! }, libraryBook)).toMatchObject({ problem: { code: 'notAllowed', path: 'tin' } });
}); // prettier-ignore
