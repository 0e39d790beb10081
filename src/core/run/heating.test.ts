import { libraryBook } from '../ingredients';
import { line, plainLoaf } from '../formula/testFormulas';
import type { Formula } from '../formula';
import { newStep, type MethodStep, type StepKind } from '../method';
import { formulaAnswers } from '../notices';
import { NO_ROOM, type Room } from '../process/room';
import {
  keepingsOf,
  leavenLot,
  ORDINARY_KITCHEN,
  quickSlice,
  runOf,
  sliceQuestion,
  supposing,
  timeAxis,
} from '.';
import { rollsWithMethod } from './testRuns';

const step = (kind: StepKind, minutes: number | null, part: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, part.id ?? kind),
  minS: minutes === null ? null : minutes * 60,
  ...part,
});
const rolls = (steps: MethodStep[], part: Partial<Formula> = {}): Formula => ({
  ...rollsWithMethod(),
  steps,
  ...part,
});
const run = (formula: Formula, room: Room = NO_ROOM) => {
  const { totals, consistency } = formulaAnswers(formula, libraryBook);
  const made = runOf(formula, libraryBook, totals, consistency, { ...ORDINARY_KITCHEN, room });
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
};
const phases = (...steps: MethodStep[]) =>
  run(rolls([step('mix', 5), ...steps])).bake!.phases.map(
    ({ kind, durationS, turned }) => `${kind} ${durationS}${turned ? ' turned' : ''}`,
  );

test('two sides share a step’s heat: turned between, its time for each; what floats in water is not turned', () => {
  expect(phases(step('griddle', 2, { sides: 2 }))).toEqual([
    'griddle 120',
    'griddle 120 turned',
    'rack 10800',
  ]);
  expect(phases(step('boil', 1, { sides: 2 }))).toEqual(['boil 60', 'boil 60', 'rack 10800']);
  expect(phases(step('fry', 2, { sides: 3 }))).toEqual([
    'fry 120',
    'fry 120 turned',
    'fry 120',
    'rack 10800',
  ]);
  // each griddling after another is the other side, and then the first again
  const thrice = ['a', 'b', 'c'].map((id) => step('griddle', 1, { id }));
  expect(phases(...thrice)).toEqual(['griddle 60', 'griddle 60 turned', 'griddle 60', 'rack 10800']);
  // turned once it has been in the oven it lies as it lay
  expect(phases(step('griddle', 1), step('bake', 3), step('griddle', 1, { id: 'g2' })).slice(0, 3)).toEqual([
    'griddle 60',
    'oven 180',
    'griddle 60',
  ]);
});

test('what is done once it is baked and put by is of a later day: no model asks about it, nor about what comes after', () => {
  const made = run(
    rolls([
      step('mix', 5),
      step('bake', 20),
      step('cool', 30),
      step('wrap', 2),
      step('reheat', 6),
      step('bake', 8, { id: 'b2' }),
    ]),
  );
  expect(made.steps.map(({ kind, stretch }) => `${kind} ${stretch}`)).toEqual([
    'mix before',
    'bake heat',
    'cool cool',
    'wrap later',
    'reheat later',
    'bake later',
  ]);
  expect(made.bake!.phases.map(({ kind }) => kind)).toEqual(['oven', 'rack']);
  // before it is baked it is a step like others
  expect(run(rolls([step('mix', 5), step('thaw', 60), step('bake', 20)])).steps[1]!.stretch).toBe('rise');
});

test('how many bake together: the baker’s word, else what there is room for, else as is usual, never more than there are', () => {
  const together = (part: Partial<Formula>, room?: Room) =>
    run(rolls([step('mix', 5), step('coast', 1), step('bake', 20)], part), room).bake!.perLoad;
  const pieces = (count: number) => ({ usualYield: { ...rollsWithMethod().usualYield, pieces: count } });
  expect(together(pieces(20))).toBe(9);
  expect(together(pieces(4))).toBe(4);
  const tray = {
    ...NO_ROOM,
    plates: [{ kind: 'tray' as const, surface: { lengthCm: 40, widthCm: 30, round: false }, count: 1 }],
  };
  expect(together(pieces(20), tray)).toBe(12);
  const as = { shape: 'roll', lengthCm: null, widthCm: null, tin: null, perLoad: 3 } as const;
  expect(together({ ...pieces(20), bakedAs: as }, tray)).toBe(3);
  expect(together({ ...pieces(20), style: 'crackers' }, tray)).toBe(1);
  // a tray that takes none still bakes one
  expect(
    together(pieces(20), {
      ...tray,
      plates: [{ ...tray.plates[0]!, surface: { lengthCm: 5, widthCm: 5, round: false } }],
    }),
  ).toBe(1);
  // the first heat decides, not what coasts or waits
  const onSteel = { kind: 'steel' as const, surface: { lengthCm: 20, widthCm: 20, round: false }, count: 1 };
  const steel = run(rolls([step('mix', 5), step('bake', 20, { heat: { on: 'steel' } })], pieces(20)), {
    ...tray,
    plates: [...tray.plates, onSteel],
  });
  expect(steel.bake!.perLoad).toBe(4);
});

test('the heat comes from what the first of it needs: fryer, griddle, oven; a tray is turned a minute before', () => {
  const ovenOf = (...steps: MethodStep[]) => run(rolls([step('mix', 5), ...steps])).bake!;
  const fried = ovenOf(step('fry', 5), step('bake', 5));
  expect(fried.oven).toBe(ORDINARY_KITCHEN.fryer);
  expect(fried.preheat).toBeNull();
  const boiled = ovenOf(step('boil', 1), step('bake', 20, { tempC: 230 }));
  expect([boiled.oven, boiled.preheat]).toEqual([ORDINARY_KITCHEN.oven, { plate: null, setC: 230 }]);
  const turning = run(rolls([step('mix', 5), step('rotate', 0), step('bake', 20)]));
  expect(turning.steps[1]).toMatchObject({ kind: 'rotate', startS: 240, endS: 300 });
  expect(run(rolls([step('rotate', 0), step('mix', 5), step('bake', 20)])).steps[0]).toMatchObject({
    startS: 0,
    endS: 0,
  });
});

test('a small mark asks what the slice follows from, and shows a raw middle as raw', () => {
  const asked = sliceQuestion(rollsWithMethod(), libraryBook, ORDINARY_KITCHEN)!;
  expect(asked.rise).toMatchObject({ beyondS: 0, central: true });
  expect(Object.keys(asked.feel).sort()).toEqual(['clings', 'holds', 'rested']);
  expect(sliceQuestion({ ...rollsWithMethod(), steps: [] }, libraryBook, ORDINARY_KITCHEN)).toBeNull();
  const baked = (minutes: number) => {
    const question = sliceQuestion(
      rolls([step('mix', 5), step('proof', 40), step('bake', minutes, { tempC: 215 }), step('cool', 60)]),
      libraryBook,
      ORDINARY_KITCHEN,
    )!;
    return quickSlice(question)!;
  };
  const [raw, done, dark] = [baked(4), baked(24), baked(50)];
  expect(raw.streak).toBeGreaterThan(0.1);
  expect(done.streak).toBeLessThan(0.02);
  expect(dark.brownTop).toBeGreaterThan(1.5 * done.brownTop);
  expect(dark.brownBase).toBeGreaterThan(done.brownBase);
  expect(done.brownTop).toBeGreaterThan(raw.brownTop);
  // in the heat for half a day is worth no small mark
  expect(
    quickSlice(
      sliceQuestion(
        rolls([step('mix', 5), step('bake', 300, { tempC: 120 })]),
        libraryBook,
        ORDINARY_KITCHEN,
      )!,
    ),
  ).toBeNull();
});

test('the jar of yeast or starter that is told apart; flour’s lot is none', () => {
  const with_ = (...ids: string[]): Formula => ({
    ...plainLoaf(),
    stages: [{ ...plainLoaf().stages[0]!, lines: ids.map((id) => line(id, 10)) }],
  });
  const lots = new Map([
    ['white-rice-flour', 'sack'],
    ['instant-yeast', 'jar'],
    ['rice-starter', 'crock'],
    ['nobody-knows', 'x'],
  ]);
  expect(leavenLot(with_('white-rice-flour', 'instant-yeast'), libraryBook, lots)).toBe('jar');
  expect(leavenLot(with_('nobody-knows', 'white-rice-flour'), libraryBook, lots)).toBe('');
  expect(leavenLot(with_('fresh-yeast'), libraryBook, lots)).toBe('');
  const starter = [...libraryBook.values()].find(({ roles }) => roles.includes('starter'))!.id;
  expect(leavenLot(with_(starter), libraryBook, new Map([[starter, 'crock']]))).toBe('crock');
});

test('an axis of cuts in any order, twice the same among them; beyond its ends it goes on', () => {
  const axis = timeAxis([3600, 0, 1800, 1800]);
  expect(axis.parts.map(({ fromS, toS, fromX, toX }) => [fromS, toS, fromX, toX])).toEqual([
    [0, 1800, 0, 0.5],
    [1800, 3600, 0.5, 1],
  ]);
  expect([axis.x(900), axis.atS(0.5), axis.atS(0.75), Math.round(axis.atS(1.1)), axis.x(7200)]).toEqual([
    0.25, 1800, 2700, 3960, 2,
  ]);
  expect(axis.secondsPerX(100)).toBe(3600);
  const late = timeAxis([7200, 3600]);
  expect([late.x(3600), late.x(5400)]).toEqual([0, 0.5]);
  expect(timeAxis([]).atS(0.5)).toBe(0);
  expect(timeAxis([]).x(0.5)).toBe(0.5);
});

test('how it keeps is a rough range, a factor of 1.6 either way', () => {
  const { wrapped } = keepingsOf(plainLoaf(), libraryBook)!;
  for (const { value, low, high } of [wrapped.softH, wrapped.refreshedH]) {
    expect(high / value).toBeCloseTo(1.6, 9);
    expect(value / low).toBeCloseTo(1.6, 9);
  }
  // 4 % psyllium, 10 % egg
  expect(wrapped.softH.value).toBeCloseTo(12 * (1 + 0.1 * 4 + 0.015 * 10), 6);
});

test('on another plate: every baking of it, out of its tin, and nothing else of the method', () => {
  const before = rolls([
    step('mix', 5),
    step('griddle', 1),
    step('bake', 20, { heat: { moist: 'steam', inTin: true } }),
  ]);
  const { formula } = supposing({ type: 'plate', on: 'steel' }, before, ORDINARY_KITCHEN, libraryBook);
  expect(formula.steps.map(({ heat }) => heat)).toEqual([
    undefined,
    undefined,
    { moist: 'steam', inTin: false, on: 'steel' },
  ]);
});
