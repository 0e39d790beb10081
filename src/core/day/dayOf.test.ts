import { planBatch, type BatchSheet } from '../batch';
import { libraryBook } from '../ingredients';
import type { Formula } from '../formula';
import { plainLoaf } from '../formula/testFormulas';
import { ORDINARY_KIT } from '../kit';
import { newStep, type MethodStep, type StepKind } from '../method';
import { heatUpS, ORDINARY_OVENS } from '../heat/oven';
import { NO_ROOM, type Room } from '../process/room';
import { checkPlan } from './checkPlan';
import { callsOf, dayOf, lightings, type DayBatchWish, type DayWish } from './dayOf';
import { dayOven } from './dayOven';
import { batchStrands } from './strandsOf';
import { changeSlots } from './ovenChange';
import { searchDay } from './searchDay';

const step = (kind: StepKind, min: number, part: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, part.id ?? kind),
  minS: min * 60,
  ...part,
});
const bread = (steps: MethodStep[], more: Partial<Formula> = {}): Formula => ({
  ...plainLoaf(),
  steps,
  ...more,
});
const sheetOf = (formula: Formula, pieces: number, room: Room = NO_ROOM): BatchSheet => {
  const planned = planBatch(
    formula,
    { mode: 'pieces', pieces, pieceMassG: 100, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0 },
    ORDINARY_KIT.scales,
    libraryBook,
    room,
  );
  if (!planned.ok) throw new Error(planned.problem.code);
  return planned.value;
};
const strands = (sheet: BatchSheet) =>
  batchStrands(sheet).map(({ id, afterId, blocks }) => [
    `${id}${afterId ? ` < ${afterId}` : ''}`,
    blocks.map(({ kind, lastsS, calls }) => `${kind} ${lastsS.typical / 60}${calls.length > 1 ? ` (${calls.length})` : ''}`).join(', '),
  ]); // prettier-ignore

const tin = bread([
  step('mix', 10),
  step('bulk', 60),
  step('divide', 5),
  step('shape', 10),
  step('proof', 40),
  step('preheat', 20, { tempC: 220 }),
  step('bake', 20, { tempC: 220 }),
  step('bake', 25, { id: 'on', tempC: 190 }),
  step('cool', 120),
]);

describe('a batch as strands of blocks', () => {
  test('what follows at one place, or under the same hands, is one block; the oven is lit by the day', () => {
    expect(strands(sheetOf(tin, 2))).toEqual([
      ['dough', 'mix 10, bulk 60, divide 15 (2), proof 40, bake 45 (2), cool 120'],
    ]);
    const [dough] = batchStrands(sheetOf(tin, 2));
    expect(dough?.blocks.find(({ kind }) => kind === 'bake')).toMatchObject({
      heat: { setC: 220, endC: 190, plate: null },
      calls: [
        { activityId: 'bake', offsetS: 0 },
        { activityId: 'on', offsetS: 1200 },
      ],
    });
  });

  test('loads of the oven are strands, each cools by itself and is topped in its share of the time', () => {
    const flats = bread([
      step('mix', 10),
      step('bake', 6, { tempC: 250, atATime: 2 }),
      step('cool', 15),
      step('top', 12, { handsOn: true }),
      step('bake', 5, { id: 'again', tempC: 250, atATime: 2 }),
    ]);
    const one = 'bake 6, cool 15, top 4, bake 5';
    expect(strands(sheetOf(flats, 6))).toEqual([
      ['dough', 'mix 10'],
      ['dough/1 < dough', one],
      ['dough/2 < dough', one],
      ['dough/3 < dough', one],
    ]);
  });

  test('loads of a kettle are one block: its sides and what the water takes to boil again', () => {
    const rings = bread([
      step('shape', 10),
      step('boil', 1, { sides: 2, atATime: 2, handsOn: true }),
      step('bake', 25, { tempC: 225 }),
    ]);
    // five loads of two sides of a minute, four times a minute between
    expect(strands(sheetOf(rings, 10))).toEqual([['dough', 'shape 10, boil 14 (10), bake 25']]);
    const [, boil] = batchStrands(sheetOf(rings, 10))[0]!.blocks;
    expect(boil?.calls.map(({ offsetS }) => offsetS)).toEqual([
      0, 60, 180, 240, 360, 420, 540, 600, 720, 780,
    ]);
  });
});

test('an oven as curves: as long as the model of heat says, and down by its open door', () => {
  const oven = dayOven('oven', ORDINARY_OVENS.static, 21, 1);
  expect(oven.heats.air?.[22]).toBeCloseTo(heatUpS(ORDINARY_OVENS.static, 21, 220, 21) / 60, 9);
  expect(oven.heats.air?.[22]).toBeCloseTo(13.42, 2);
  // a stone is behind the air, iron less so, and nothing is ready sooner for being hotter
  for (const curve of Object.values(oven.heats))
    for (let tenth = 1; tenth < curve.length; tenth += 1) expect(curve[tenth]).toBeGreaterThanOrEqual(curve[tenth - 1]!);
  expect(oven.heats.stone![25]!).toBeGreaterThan(oven.heats.air![25]! + 5);
  expect(oven.heats.steel![25]!).toBeGreaterThan(oven.heats.air![25]!);
  // 8500 J/K over 4.5 × 3.2 W/K: 590 s; ln(229 / 129) of that
  const load = (setC: number) => ({ ovenIds: [], setC, endC: setC, share: 1, plate: null });
  expect(oven.cools[15]! - oven.cools[25]!).toBeCloseTo((590.3 * Math.log(229 / 129)) / 60, 2);
  expect(changeSlots(oven, load(250), load(150))).toBe(6);
  expect(changeSlots(oven, load(250), load(320))).toBeGreaterThan(10_000);
}); // prettier-ignore

const HOUR_MS = 3_600_000;
const now = Date.UTC(2026, 10, 28, 8);
const wish = (batches: readonly DayBatchWish[], more: Partial<DayWish> = {}): DayWish => ({
  fromMs: now,
  endMs: now + 16 * HOUR_MS,
  slotMin: 5,
  kit: ORDINARY_KIT,
  hands: [{ fromMs: now, toMs: now + 16 * HOUR_MS, people: 1 }],
  batches,
  ...more,
});
const batch = (formula: Formula, readyH: number | null, id = 'b', pieces = 2): DayBatchWish => ({
  id,
  ways: [{ id: 'as written', tasteCost: 0, sheet: sheetOf(formula, pieces) }],
  formula,
  ready: readyH === null ? null : { fromMs: now + readyH * HOUR_MS, toMs: now + readyH * HOUR_MS },
});
const planned = (given: DayWish, rounds = 20) => {
  const day = dayOf(given);
  if (!day.ok) throw new Error(`${day.problem.code} ${day.problem.path}`);
  const search = searchDay(day.value.problem, 1, rounds);
  let found = search.next();
  while (!found.done) found = search.next();
  const { plan, score } = found.value;
  expect(checkPlan(day.value.problem, plan)).toEqual([]);
  const clock = (ms: number) => new Date(ms).toISOString().slice(11, 16);
  return {
    score,
    lit: lightings(day.value, plan).map(({ atMs, setC, plate }) => `${clock(atMs)} ${setC} ${plate ?? ''}`.trim()),
    calls: callsOf(day.value, plan).map(({ activityId, fromMs, toMs }) => `${clock(fromMs)}-${clock(toMs)} ${activityId}`),
  };
}; // prettier-ignore

describe('a kitchen’s day', () => {
  test('a loaf for five o’clock, backwards: the oven is lit while it proofs', () => {
    const { calls, lit, score } = planned(wish([batch(tin, 9)]));
    expect(calls).toEqual([
      // five minutes are left free behind the bulk: it bears twelve, and no clock tells when it is there
      '12:05-12:15 mix',
      '12:15-13:15 bulk',
      '13:20-13:25 divide',
      '13:25-13:35 shape',
      '13:35-14:15 proof',
      '14:15-14:35 bake',
      '14:35-15:00 on',
      '15:00-17:00 cool',
    ]);
    expect(lit).toEqual(['14:00 220']);
    expect(score).toMatchObject({ late: 0, old: 0 });
  });

  test('out from two to four: what it bears waits, and what it does not is done before', () => {
    const hands = [
      { fromMs: now, toMs: now + 6 * HOUR_MS, people: 1 },
      { fromMs: now + 8 * HOUR_MS, toMs: now + 16 * HOUR_MS, people: 1 },
    ];
    const { calls, score } = planned(wish([batch(tin, 9)], { hands }));
    // put in and taken out by hand: out by two, three hours before it has to be
    expect(calls).toContain('13:15-13:35 bake');
    expect(calls).toContain('13:35-14:00 on');
    expect(score).toMatchObject({ late: 0, old: 12 });
  });

  test('started now: as soon as it can be', () => {
    const { calls } = planned(wish([batch(tin, null)]));
    expect(calls[0]).toBe('08:00-08:10 mix');
    expect(calls.at(-1)).toBe('10:55-12:55 cool');
  });

  test('two of one oven: neither waits longer than it bears', () => {
    const { calls, score } = planned(wish([batch(tin, 9, 'a'), batch(tin, 9, 'b')]), 80);
    expect(calls.filter((call) => call.endsWith(' bake'))).toEqual(['13:25-13:45 bake', '14:15-14:35 bake']);
    expect(score).toMatchObject({ unplaced: 0, late: 0, old: 10 });
  });

  test('a tin and rolls of one dough, one oven, nobody there in the afternoon', () => {
    const parted = bread([step('mix', 5), step('rest', 15)], {
      ways: [
        way('tin', 1, [step('shape', 10, { id: 't1' }), step('proof', 65, { id: 't2' }), step('bake', 65, { id: 't3', tempC: 200 }), step('cool', 120, { id: 't4' })]),
        way('rolls', 6, [step('divide', 5, { id: 'r1' }), step('proof', 45, { id: 'r2' }), step('top', 5, { id: 'r3', handsOn: true }), step('bake', 20, { id: 'r4', tempC: 220 }), step('cool', 25, { id: 'r5' })]),
      ],
    });
    const sheet = planBatch(
      parted,
      { mode: 'ways', ways: [{ wayId: 'tin', pieces: 1 }, { wayId: 'rolls', pieces: 6 }], pieceMassG: 100, bowlLossPercent: 0 },
      ORDINARY_KIT.scales, libraryBook,
    );
    if (!sheet.ok) throw new Error(sheet.problem.code);
    const hands = [{ fromMs: now, toMs: now + 6 * HOUR_MS, people: 1 }];
    const ready = { fromMs: now + 11 * HOUR_MS, toMs: now + 11 * HOUR_MS };
    const { calls, score } = planned(wish([{ id: 'b', ways: [{ id: 'as written', tasteCost: 0, sheet: sheet.value }], formula: parted, ready }], { hands }));
    // worked out by hand: the tin comes out at two; the rolls bake before it, and are divided first
    expect(calls).toEqual([
      '11:10-11:15 mix', '11:15-11:30 rest', '11:30-11:35 r1', '11:35-11:45 t1', '11:35-12:20 r2', '11:45-12:50 t2',
      '12:25-12:30 r3', '12:30-12:50 r4', '12:50-13:15 r5', '12:55-14:00 t3', '14:00-16:00 t4',
    ]);
    expect(score).toMatchObject({ unplaced: 0, late: 0, old: 36 + 69 });
  }); // prettier-ignore

  test.each<[string, DayWish, string, string]>([
    ['nothing to make', wish([]), 'required', 'batches'],
    ['thirty-one batches', wish(Array.from({ length: 31 }, (_, at) => batch(tin, 9, `b${at}`))), 'tooMany', 'batches'],
    ['ready after the day', wish([batch(tin, 17)]), 'tooLarge', 'batches.0.ready.to'],
    ['the same twice', wish([batch(tin, 9), batch(tin, 9)]), 'duplicateId', 'batches.1.id'],
    ['a day that ends before it begins', wish([batch(tin, 9)], { endMs: now }), 'rangeReversed', 'end'],
    ['a month', wish([batch(tin, 9)], { endMs: now + 720 * HOUR_MS }), 'tooLong', 'end'],
    ['half a slot', wish([batch(tin, 9)], { slotMin: 0.5 }), 'notAllowed', 'slotMin'],
    ['hands the wrong way round', wish([batch(tin, 9)], { hands: [{ fromMs: now, toMs: now - 1, people: 1 }] }), 'rangeReversed', 'hands.0.to'],
    ['half a baker', wish([batch(tin, 9)], { hands: [{ fromMs: now, toMs: now + 1, people: 0.5 }] }), 'tooLarge', 'hands.0.people'],
  ])('%s is refused at its field', (_, given, code, path) => {
    const day = dayOf(given);
    expect(day.ok ? null : [day.problem.code, day.problem.path]).toEqual([code, path]);
  }); // prettier-ignore
});

function way(id: string, pieces: number, steps: MethodStep[]): NonNullable<Formula['ways']>[number] {
  return { id, name: id, amount: { kind: 'pieces', pieces, pieceMassG: 100 }, steps };
} // prettier-ignore
