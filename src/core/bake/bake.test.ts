import fc from 'fast-check';
import { loafSheet } from '../batch/testBatch';
import type { BatchSheet } from '../batch';
import type { Band } from '../consistency';
import { plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { newStep } from '../method';
import { readAs } from '../readAs';
import {
  actualTotals,
  afterEvent,
  bakeActionSchema,
  bakeCard,
  bakeState,
  decide,
  emptyOutcome,
  feltObservations,
  isRunning,
  lossPercent,
  nextThing,
  onScaleBeforeG,
  outcomeSchema,
  stillToWeigh,
  leftoversOf,
  stockOf,
  timerLeftS,
  type BakeAction,
  type BakeRecord,
  type BakeState,
} from '.';

const sheet = loafSheet();
const T0 = 1_000_000;

/** Lets actions happen one minute apart; refused ones are skipped, as the server does. */
function happen(...actions: BakeAction[]): BakeState {
  let state = bakeState(T0, []);
  actions.forEach((action, index) => {
    if (decide(sheet, state, action, libraryBook).ok) {
      state = afterEvent(state, { seq: state.lastSeq + 1, atMs: T0 + (index + 1) * 60_000, action });
    }
  });
  return state;
}
const why = (state: BakeState, action: BakeAction) => {
  const allowed = decide(sheet, state, action, libraryBook);
  return allowed.ok ? 'ok' : allowed.problem.code;
};
const weigh = (lineId: string, massG: number): BakeAction => ({ type: 'weighed', lineId, massG });
const everything = sheet.stages.flatMap((stage) => stage.lines.map(({ id, massG }) => weigh(id, massG)));
const closed: BakeAction = { type: 'closed', outcome: emptyOutcome };

test('a correction keeps both values, an untick takes the line back', () => {
  const state = happen(weigh('salt', 5), weigh('salt', 10), weigh('water', 400), {
    type: 'unweighed',
    lineId: 'water',
  });
  expect(state.weighed.get('salt')).toMatchObject({ massG: 10, before: [{ massG: 5 }] });
  expect(state.weighed.has('water')).toBe(false);
});

test('a timer is time started and time given: it runs on whoever looks, and stops where it was stopped', () => {
  const running = happen(
    { type: 'timerStarted', stepId: 'proof', durationS: 3600 },
    { type: 'timerChanged', stepId: 'proof', deltaS: 300 },
  );
  const timer = running.steps.get('proof')?.timer;
  if (!isRunning(timer)) throw new Error('no timer');
  expect(timerLeftS(timer, T0 + 61 * 60_000)).toBe(300);
  expect(timerLeftS(timer, T0 + 100 * 60_000)).toBeLessThan(0);
  const stopped = afterEvent(running, {
    seq: 3,
    atMs: T0 + 11 * 60_000,
    action: { type: 'timerStopped', stepId: 'proof' },
  });
  expect(timerLeftS(stopped.steps.get('proof')!.timer!, T0 + 1e9)).toBe(3300);
  const done = afterEvent(running, {
    seq: 3,
    atMs: T0 + 5 * 60_000,
    action: { type: 'stepDone', stepId: 'proof' },
  });
  expect(isRunning(done.steps.get('proof')?.timer)).toBe(false);
});

test('what comes next: weigh, then steps, then what goes on top, then the log', () => {
  expect(nextThing(sheet, happen())).toEqual({ kind: 'weigh', lineId: 'white-rice-flour', done: 0, of: 7 });
  const mixed = happen(...everything.slice(0, 6));
  expect(nextThing(sheet, mixed)).toMatchObject({ kind: 'step', stepId: 'mix' });
  expect(stillToWeigh(sheet, mixed).later.map(({ id }) => id)).toEqual(['poppy-seed']);
  const steps: BakeAction[] = sheet.steps.map(({ id }) => ({ type: 'stepDone', stepId: id }));
  expect(nextThing(sheet, happen(...everything.slice(0, 6), ...steps))).toMatchObject({
    kind: 'weigh',
    lineId: 'poppy-seed',
  });
  expect(nextThing(sheet, happen(...everything, ...steps))).toEqual({ kind: 'log' });
  expect(nextThing(sheet, happen(closed))).toEqual({ kind: 'ended' });
});

test('what cannot be is refused with its reason', () => {
  const fresh = happen();
  expect(why(fresh, weigh('nothing', 5))).toBe('unknownLine');
  expect(why(happen(weigh('salt', 10)), weigh('salt', 10))).toBe('alreadyDone');
  expect(why(fresh, { type: 'unweighed', lineId: 'salt' })).toBe('notDoneYet');
  expect(why(fresh, { type: 'stepDone', stepId: 'x' })).toBe('unknownStep');
  expect(why(fresh, { type: 'stepReopened', stepId: 'mix' })).toBe('notDoneYet');
  expect(why(fresh, { type: 'timerStopped', stepId: 'mix' })).toBe('noTimer');
  expect(why(fresh, { type: 'added', ingredientId: 'moon-dust', massG: 5, note: '' })).toBe(
    'unknownIngredient',
  );
  const running = happen({ type: 'timerStarted', stepId: 'mix', durationS: 60 });
  expect(why(running, { type: 'timerStarted', stepId: 'mix', durationS: 60 })).toBe('timerRunning');
  expect(why(running, { type: 'timerChanged', stepId: 'mix', deltaS: -600 })).toBe('tooSmall');
  const over = happen(closed);
  expect(why(over, weigh('salt', 10))).toBe('alreadyClosed');
  expect(why(over, closed)).toBe('alreadyClosed');
  expect(why(over, { type: 'noted', text: 'still soft the next day' })).toBe('ok');
  expect(why(fresh, { type: 'outcomeCorrected', outcome: emptyOutcome })).toBe('notDoneYet');
});

test('a corrected outcome keeps the earlier one', () => {
  const state = happen(closed, { type: 'outcomeCorrected', outcome: { ...emptyOutcome, pieces: 2 } });
  expect(state.outcome?.pieces).toBe(2);
  expect(state.earlierOutcomes).toMatchObject([{ outcome: { pieces: null } }]);
});

test('a spoon of flour thrown in shows in the hydration of the day', () => {
  const planned = actualTotals(sheet, happen(), libraryBook).hydrationAll!;
  const drier = happen({ type: 'added', ingredientId: 'white-rice-flour', massG: 50, note: 'too wet' });
  expect(actualTotals(sheet, drier, libraryBook).hydrationAll).toBeCloseTo((planned * 500) / 550, 6);
  // of what was strewn on the board half is taken up: 25 of 50 g
  const strewn = happen({
    type: 'added',
    ingredientId: 'white-rice-flour',
    massG: 50,
    note: '',
    bench: true,
  });
  expect(actualTotals(sheet, strewn, libraryBook).hydrationAll).toBeCloseTo((planned * 500) / 525, 6);
  expect(actualTotals(sheet, happen(weigh('salt', 5)), libraryBook).saltPercent).toBeCloseTo(1, 6);
});

test('on a scale that is not zeroed the display carries bowl and all that is in it', () => {
  const state = happen(weigh('white-rice-flour', 300), weigh('tapioca-starch', 201));
  expect(onScaleBeforeG(sheet, state, 'water', 820)).toBe(820 + 501);
  expect(onScaleBeforeG(sheet, state, 'poppy-seed', 0)).toBe(0);
});

test('an event told twice counts once, and any order of taps leaves a state that can go on', () => {
  const event = { seq: 1, atMs: T0, action: weigh('salt', 10) };
  const once = afterEvent(bakeState(T0, []), event);
  expect(afterEvent(once, event)).toBe(once);
  const anyAction = fc.oneof(
    fc.constantFrom<BakeAction>(
      ...everything,
      { type: 'noted', text: 'x' },
      { type: 'unweighed', lineId: 'salt' },
    ),
    fc.record({
      type: fc.constantFrom('stepDone', 'stepReopened', 'timerStopped'),
      stepId: fc.constantFrom('mix', 'proof'),
    }) as fc.Arbitrary<BakeAction>,
    fc.record({
      type: fc.constant('timerStarted'),
      stepId: fc.constantFrom('mix', 'proof'),
      durationS: fc.integer({ min: 1, max: 9000 }),
    }) as fc.Arbitrary<BakeAction>,
  );
  fc.assert(
    fc.property(fc.array(anyAction, { maxLength: 40 }), (actions) => {
      const state = happen(...actions);
      expect(
        [...state.weighed.keys()].every((id) =>
          sheet.stages.some(({ lines }) => lines.some((line) => line.id === id)),
        ),
      ).toBe(true);
      for (const { doneAtMs, timer } of state.steps.values()) {
        if (doneAtMs !== null && timer && timer.startedAtMs < doneAtMs) expect(isRunning(timer)).toBe(false);
      }
      expect(why(state, closed)).toBe('ok');
    }),
  );
});

test('outcomes: heavier out than in, an oven-hot core and half a piece are refused at their field', () => {
  const refusal = (part: object) => {
    const read = readAs(outcomeSchema, { ...emptyOutcome, ...part });
    return read.ok ? 'ok' : `${read.problem.path}:${read.problem.code}`;
  };
  expect(refusal({ massBeforeG: 1000, massAfterG: 880 })).toBe('ok');
  expect(refusal({ massBeforeG: 1000, massAfterG: 1001 })).toBe('massAfterG:heavierThanBefore');
  expect(refusal({ coreTempC: 5000 })).toBe('coreTempC:tooLarge');
  expect(refusal({ pieces: 1.5 })).toBe('pieces:notWhole');
  expect(refusal({ scores: { ...emptyOutcome.scores, crumb: 6 } })).toBe('scores.crumb:tooLarge');
  expect(refusal({ words: 'x'.repeat(2001) })).toBe('words:tooLong');
  expect(lossPercent({ massBeforeG: 1000, massAfterG: 880 })).toBe(12);
  expect(lossPercent({ massBeforeG: 1000, massAfterG: null })).toBeNull();
  expect(readAs(bakeActionSchema, { type: 'noted', text: '  ' }).ok).toBe(false);
  expect(readAs(bakeActionSchema, { ...closed, sneaky: 1 }).ok).toBe(false);
});

test('how far it had risen is saved with its step and its time; a slip takes the last one back', () => {
  const mark = (grownPercent: number): BakeAction => ({
    type: 'rise',
    stepId: 'proof',
    of: 'jar',
    grownPercent,
  });
  const back: BakeAction = { type: 'riseTakenBack', stepId: 'proof' };
  const state = happen(mark(20), mark(500), mark(60), back, mark(50));
  expect(state.rises).toEqual([
    { stepId: 'proof', of: 'jar', grownPercent: 20, atMs: T0 + 60_000 },
    { stepId: 'proof', of: 'jar', grownPercent: 500, atMs: T0 + 120_000 },
    { stepId: 'proof', of: 'jar', grownPercent: 50, atMs: T0 + 300_000 },
  ]);
  expect(why(happen(), back)).toBe('notDoneYet');
  expect(why(happen(), { ...mark(20), stepId: 'none' } as BakeAction)).toBe('unknownStep');
  expect(why(happen(closed), mark(20))).toBe('alreadyClosed');
  // a height nobody could have seen is refused where it comes in
  const read = readAs(bakeActionSchema, mark(500));
  expect(!read.ok && read.problem).toMatchObject({ code: 'tooLarge', path: 'grownPercent' });
});

test('a feel is saved by step, the newest counts, the same again is no news; what it says is of the dough as it was then', () => {
  const feel = (band: Band, stepId = 'mix'): BakeAction => ({ type: 'felt', stepId, band });
  const state = happen(feel('thickBatter'), feel('soft', 'proof'), feel('sticky'));
  expect(state.feelings).toEqual([
    { stepId: 'proof', band: 'soft', atMs: T0 + 120_000 },
    { stepId: 'mix', band: 'sticky', atMs: T0 + 180_000 },
  ]);
  expect(why(state, feel('sticky'))).toBe('alreadyDone');
  expect(why(happen(), feel('soft', 'none'))).toBe('unknownStep');

  const record = (...actions: BakeAction[]): BakeRecord => ({
    id: 'b', formulaId: 'f', revision: 1, startedAtMs: T0, sheet,
    events: actions.map((action, index) => ({ seq: index + 1, atMs: T0 + (index + 1) * 600_000, action })),
  }); // prettier-ignore
  const felt = (...actions: BakeAction[]) => feltObservations(record(...actions), plainLoaf(), libraryBook);
  const mixed: BakeAction = { type: 'stepDone', stepId: 'mix' };
  const flour: BakeAction = { type: 'added', ingredientId: 'white-rice-flour', massG: 60, note: '' };
  const [before] = felt(mixed, feel('sticky', 'proof'), flour);
  const [after] = felt(mixed, flour, feel('sticky', 'proof'));
  expect(before!.standMin).toBe(10);
  expect(after!.standMin).toBe(20);
  // a spoon of flour that went in afterwards was not in what was felt
  expect(after!.consistency.balance.demandG).toBeGreaterThan(before!.consistency.balance.demandG + 40);
  expect(felt(feel('soft', 'proof'))).toEqual([]);
  expect(felt(feel('soft'))).toMatchObject([{ standMin: 0, band: 'soft' }]);
});

describe('what is put by', () => {
  const sheet: BatchSheet = {
    ...loafSheet(),
    ways: [
      { wayId: 'tin', name: 'Tin', count: 1, doughG: 900, bakedG: 810, overG: 0 },
      { wayId: 'frozen', name: 'Rolls', count: 10, doughG: 70, bakedG: 63, overG: 0, putBy: { as: 'frozenRaw', days: 21 }, later: [{ ...newStep('thaw', 't'), minS: 14_400 }, { ...newStep('bake', 'b'), minS: 1500, maxS: 2100 }] },
    ],
    leftOver: [{ stageId: 'dip', name: 'Dip', massG: 80, perPieceG: 20, keeps: { place: 'fridge', days: 4 } }],
  }; // prettier-ignore
  const counted = (leftPieces: number, wayId = 'frozen') =>
    ({ type: 'stockCounted', wayId, leftPieces }) as const;
  const rest = (leftG: number, stageId = 'dip') => ({ type: 'leftoverCounted', stageId, leftG }) as const;
  const closed = { type: 'closed', outcome: emptyOutcome } as const;
  const after = (...actions: BakeAction[]) =>
    bakeState(
      0,
      actions.map((action, at) => ({ seq: at + 1, atMs: 86_400_000 * (at + 1), action })),
    );

  test('there is none before the log is closed, all of it then, and what is left after each taking', () => {
    expect(stockOf(sheet, after())).toEqual([]);
    expect(stockOf(sheet, after({ type: 'abandoned', reason: '' }))).toEqual([]);
    const all = stockOf(sheet, after(closed));
    expect(all).toEqual([
      { wayId: 'frozen', name: 'Rolls', as: 'frozenRaw', madeAtMs: 86_400_000, bestByMs: 22 * 86_400_000, madePieces: 10, leftPieces: 10, finishS: 16_200 },
    ]); // prettier-ignore
    expect(stockOf(sheet, after(closed, counted(6)))[0]!.leftPieces).toBe(6);
    // its card lists it while there is any
    expect(bakeCard(sheet, after(closed, counted(6))).stock).toHaveLength(2);
    expect(bakeCard(sheet, after(closed, counted(0), rest(0.4))).stock).toEqual([]);
  });

  test('what is left of a sauce is there beside it, by weight, as long as it keeps', () => {
    expect(leftoversOf(sheet, after())).toEqual([]);
    expect(leftoversOf(sheet, after(closed, rest(60)))).toEqual([
      { stageId: 'dip', name: 'Dip', place: 'fridge', madeAtMs: 86_400_000, bestByMs: 5 * 86_400_000, perPieceG: 20, madeG: 80, leftG: 60 },
    ]); // prettier-ignore
  });

  test('counted only once it is there, of what was put by, no more than was made; a slip is counted again', () => {
    const may = (action: BakeAction, ...before: BakeAction[]) => {
      const answer = decide(sheet, after(...before), action, libraryBook);
      return answer.ok ? 'ok' : `${answer.problem.code} ${answer.problem.path}`;
    };
    expect(may(counted(9))).toBe('notDoneYet wayId');
    expect(may(counted(9), closed)).toBe('ok');
    expect(may(counted(11), closed)).toBe('tooLarge leftPieces');
    expect(may(counted(10), closed)).toBe('alreadyDone leftPieces');
    expect(may(counted(1, 'tin'), closed)).toBe('unknownWay wayId');
    expect(may(counted(10), closed, counted(4))).toBe('ok');
    expect(may(rest(60))).toBe('notDoneYet stageId');
    expect(may(rest(60), closed)).toBe('ok');
    expect(may(rest(81), closed)).toBe('tooLarge leftG');
    expect(may(rest(80), closed)).toBe('alreadyDone leftG');
    expect(may(rest(10, 'dough'), closed)).toBe('unknownStage stageId');
  });
});
