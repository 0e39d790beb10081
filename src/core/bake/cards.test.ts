import { loafSheet } from '../batch/testBatch';
import {
  actualStages,
  bakeCard,
  bakeState,
  emptyOutcome,
  onScaleBeforeG,
  outcomeSchema,
  type BakeAction,
} from '.';
import { runningCard } from './runningCard';
import { runningTimers } from './runningTimers';
import { type BakeState } from './bakeState';
import { nextThing, stillToWeigh, weighedCount } from './toWeigh';

const NO_OVENS = { heatUpS: () => null, nameOf: () => '' };
const sheet = loafSheet();
const bake = { id: 'b', sheet };
const after = (...actions: BakeAction[]) =>
  bakeState(
    0,
    actions.map((action, index) => ({ seq: index + 1, atMs: 60_000 * (index + 1), action })),
  );
const weigh = (lineId: string, massG: number): BakeAction => ({ type: 'weighed', lineId, massG });
const intoTheBowl = sheet.stages[0]!.lines.map(({ id, massG }) => weigh(id, massG));
const done = (stepId: string): BakeAction => ({ type: 'stepDone', stepId });
const timer = (stepId: string, durationS: number): BakeAction => ({
  type: 'timerStarted',
  stepId,
  durationS,
});
const outcome = {
  ...emptyOutcome,
  massBeforeG: 980,
  massAfterG: 858,
  scores: { crumb: 4, crust: null, chew: 3, flavour: 5 },
  again: 'changed' as const,
  words: 'A little pale.',
};

test('the line in the logbook: what came out, or why it did not', () => {
  const says = 'White rice flour Tapioca starch Psyllium husk Water Whole egg Salt Poppy seed';
  const always = { name: 'Plain loaf', pieces: 1, doughG: 980, stock: [], lots: [], says };
  expect(bakeCard(sheet, after())).toEqual({
    ...always,
    endedAtMs: null,
    lossPercent: null,
    scores: null,
    again: null,
    words: '',
    givenUp: null,
  });
  expect(bakeCard(sheet, after({ type: 'closed', outcome }))).toEqual({
    ...always,
    endedAtMs: 60_000,
    lossPercent: expect.closeTo(12.449, 3) as number,
    scores: outcome.scores,
    again: 'changed',
    words: 'A little pale.',
    givenUp: null,
  });
  const half = { ...outcome, massBeforeG: null };
  expect(bakeCard(sheet, after({ type: 'closed', outcome: half })).lossPercent).toBeNull();
  expect(bakeCard(sheet, after({ type: 'abandoned', reason: 'Power cut' }))).toMatchObject({
    endedAtMs: 60_000,
    scores: null,
    again: null,
    words: '',
    givenUp: 'Power cut',
  });
});

test('an ending taken back stays in the log, with what it was', () => {
  const closed = after({ type: 'closed', outcome }, { type: 'reopened' });
  expect(closed).toMatchObject({
    endedAtMs: null,
    outcome: null,
    earlierOutcomes: [{ outcome, atMs: 120_000 }],
    endings: [{ endedAtMs: 60_000, reopenedAtMs: 120_000, abandoned: null }],
  });
  const given = after(
    { type: 'abandoned', reason: 'Power cut' },
    { type: 'reopened' },
    { type: 'noted', text: 'on again' },
    { type: 'noted', text: 'still warm' },
  );
  expect(given).toMatchObject({
    abandoned: null,
    earlierOutcomes: [],
    endings: [{ endedAtMs: 60_000, reopenedAtMs: 120_000, abandoned: { reason: 'Power cut' } }],
    notes: [
      { text: 'on again', atMs: 180_000 },
      { text: 'still warm', atMs: 240_000 },
    ],
  });
});

test('a bake that has just begun holds nothing', () => {
  expect(after()).toMatchObject({ additions: [], notes: [], endings: [], earlierOutcomes: [], rises: [] });
});

test('a step that is done stops its timer, one that had stopped keeps its time; reopened it has neither', () => {
  const progress = (...actions: BakeAction[]) => after(...actions).steps.get('proof');
  expect(progress(timer('proof', 3600), done('proof'))).toEqual({
    doneAtMs: 120_000,
    skippedAtMs: null,
    timer: { startedAtMs: 60_000, durationS: 3600, stoppedAtMs: 120_000 },
  });
  const stop: BakeAction = { type: 'timerStopped', stepId: 'proof' };
  expect(progress(timer('proof', 3600), stop, done('proof'))?.timer?.stoppedAtMs).toBe(120_000);
  expect(progress(done('proof'))).toEqual({ doneAtMs: 60_000, skippedAtMs: null, timer: null });
  expect(progress(timer('proof', 3600), done('proof'), { type: 'stepReopened', stepId: 'proof' })).toEqual({
    doneAtMs: null,
    skippedAtMs: null,
    timer: { startedAtMs: 60_000, durationS: 3600, stoppedAtMs: 120_000 },
  });
});

test('a rise taken back is the last of its own step', () => {
  const mark = (stepId: string, grownPercent: number): BakeAction => ({
    type: 'rise',
    stepId,
    of: 'dough',
    grownPercent,
  });
  const state = after(mark('mix', 10), mark('proof', 50), mark('mix', 20), {
    type: 'riseTakenBack',
    stepId: 'proof',
  });
  expect(state.rises.map(({ stepId, grownPercent }) => [stepId, grownPercent])).toEqual([
    ['mix', 10],
    ['mix', 20],
  ]);
});

test('the timers under way, the next to end first; none once it is over', () => {
  const running = [timer('mix', 7200), timer('proof', 300)];
  expect(runningTimers(bake, after(...running))).toEqual([
    { bakeId: 'b', bakeName: 'Plain loaf', stepId: 'proof', stepKind: 'proof', stepTitle: '', call: null, until: '', endsAtMs: 420_000, mayUntilMs: 5_520_000 },
    { bakeId: 'b', bakeName: 'Plain loaf', stepId: 'mix', stepKind: 'mix', stepTitle: '', call: null, until: 'even', endsAtMs: 7_260_000, mayUntilMs: null },
  ]); // prettier-ignore
  expect(runningTimers(bake, after(...running, { type: 'timerStopped', stepId: 'mix' }))).toHaveLength(1);
  expect(runningTimers(bake, after(...running, { type: 'abandoned', reason: '' }))).toEqual([]);
});

test('what a bake under way needs next: to be weighed, a step, what goes on top, its log', () => {
  const next = (...actions: BakeAction[]) => runningCard(bake, after(...actions), NO_OVENS).next;
  expect(next(weigh('white-rice-flour', 300), weigh('tapioca-starch', 200))).toEqual({
    kind: 'weigh',
    name: 'Psyllium husk',
    massG: 20,
    done: 2,
    of: 7,
  });
  expect(next(...intoTheBowl)).toEqual({
    kind: 'step',
    stepId: 'mix',
    stepKind: 'mix',
    stepTitle: '',
    call: null,
  });
  expect(next(...intoTheBowl, done('mix'))).toEqual({
    kind: 'step',
    stepId: 'proof',
    stepKind: 'proof',
    stepTitle: '',
    call: null,
  });
  expect(next(...intoTheBowl, done('mix'), done('proof'))).toEqual({
    kind: 'weigh',
    name: 'Poppy seed',
    massG: 10,
    done: 6,
    of: 7,
  });
  expect(next(...intoTheBowl, done('mix'), done('proof'), weigh('poppy-seed', 10))).toEqual({ kind: 'log' });
  expect(next({ type: 'abandoned', reason: '' })).toEqual({ kind: 'log' });
  expect(nextThing(sheet, after(...intoTheBowl, done('mix')))).toEqual({ kind: 'step', stepId: 'proof', done: 1, of: 2 }); // prettier-ignore
  const card = runningCard(bake, after(timer('proof', 60)), NO_OVENS);
  expect([card.name, card.timers.length]).toEqual(['Plain loaf', 1]);
});

test('what is folded in late or goes on top is weighed when its turn comes', () => {
  const [dough, top] = sheet.stages;
  const ids = (kind: 'late' | 'topping' | 'main') => {
    const open = stillToWeigh({ ...sheet, stages: [dough!, { ...top!, kind }] }, after());
    return [open.now.length, open.later.map(({ id }) => id)];
  };
  expect(ids('topping')).toEqual([6, ['poppy-seed']]);
  expect(ids('late')).toEqual([6, ['poppy-seed']]);
  expect(ids('main')).toEqual([7, []]);
});

test('what is held back or for another day is no part of what is to weigh, nor of what was in it, until it goes in', () => {
  const [dough, top] = sheet.stages;
  const two = {
    ...sheet,
    stages: [
      { ...dough!, lines: dough!.lines.map((each) => (each.id === 'salt' ? { ...each, heldBack: true as const } : each)) },
      { ...top!, lines: top!.lines.map((each) => ({ ...each, later: true as const })) },
    ],
  }; // prettier-ignore
  const inIt = (state: BakeState) =>
    actualStages(two, state).flatMap(({ lines }) => lines.map(({ ingredientId }) => ingredientId));
  expect(weighedCount(two, after(weigh('water', 400)))).toEqual({ done: 1, of: 5 });
  expect(nextThing(two, after(weigh('water', 400)))).toMatchObject({ kind: 'weigh', done: 1, of: 5 });
  expect(inIt(after())).toHaveLength(5);
  const late = after(weigh('salt', 10), weigh('poppy-seed', 12));
  expect(weighedCount(two, late)).toEqual({ done: 2, of: 7 });
  expect(inIt(late)).toEqual(expect.arrayContaining(['salt', 'poppy-seed']));
});

test('on the scale before a line: the bowl and the rest of its part, never the line itself', () => {
  const state = after(weigh('salt', 11), weigh('water', 400), weigh('poppy-seed', 10));
  expect(onScaleBeforeG(sheet, state, 'salt', 250)).toBe(650);
  expect(onScaleBeforeG(sheet, state, 'poppy-seed', 250)).toBe(250);
  expect(onScaleBeforeG(sheet, state, 'none', 250)).toBe(250);
});

test('what was added stands in a part of its own, line by line', () => {
  const extra = (ingredientId: string, massG: number): BakeAction => ({
    type: 'added', ingredientId, massG, note: '',
  }); // prettier-ignore
  const stages = actualStages(sheet, after(extra('water', 20), extra('salt', 1), weigh('water', 390)));
  expect(stages.at(-1)).toEqual({
    id: 'added',
    kind: 'late',
    name: '',
    lines: [
      { id: 'added-0', ingredientId: 'water', massG: 20, note: '' },
      { id: 'added-1', ingredientId: 'salt', massG: 1, note: '' },
    ],
  });
  expect(stages[0]!.lines.find(({ id }) => id === 'water')?.massG).toBe(390);
  expect(stages[0]!.lines.find(({ id }) => id === 'salt')?.massG).toBe(10);
});

test('an outcome may weigh as much after as before, never more; what was not weighed is not compared', () => {
  const fits = (massBeforeG: number | null, massAfterG: number | null) =>
    outcomeSchema.safeParse({ ...emptyOutcome, massBeforeG, massAfterG }).success;
  expect([fits(900, 900), fits(900, 899), fits(900, 901)]).toEqual([true, true, false]);
  expect([fits(null, 900), fits(900, null), fits(null, null)]).toEqual([true, true, true]);
});
