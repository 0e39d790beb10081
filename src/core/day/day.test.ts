import { Board } from './board';
import { boundOf } from './bound';
import { placeBatch, putStrands } from './placeBatch';
import { checkPlan, type Broken } from './checkPlan';
import type { DayBatch, DayPlan, DayProblem, Heat, Strand } from './dayProblem';
import { changeSlots, coldSlots, idleSlots, mayShare } from './ovenChange';
import { leastWithin } from './leastWithin';
import { compareScores, NOTHING, scoreOf } from './score';
import { searchDay } from './searchDay';
import { act, inOven, oneStrand, randomDay, testOven, withHands } from './testDays';
import { exactDay } from './testExact';

const day = (more: Partial<DayProblem> & Pick<DayProblem, 'batches'>): DayProblem => ({
  slotMin: 5,
  slots: 120,
  hands: [{ fromSlot: 0, toSlot: 120, people: 1 }],
  ovens: [testOven('oven')],
  resources: [
    { id: 'mixer', capacity: 1 },
    { id: 'rack', capacity: 2 },
  ],
  ...more,
});

const solved = (problem: DayProblem, rounds = 60) => {
  const search = searchDay(problem, 7, rounds);
  let step = search.next();
  while (!step.done) step = search.next();
  expect(checkPlan(problem, step.value.plan)).toEqual([]);
  expect(step.value.score).toEqual(scoreOf(problem, step.value.plan));
  return step.value;
};
const starts = (plan: DayPlan, id: string) =>
  Object.fromEntries(
    Object.entries(plan.batches[id]?.at ?? {}).map(([key, { startSlot }]) => [key, startSlot]),
  );

const loaf = (promise: Strand['promise'] = { fromSlot: 100, toSlot: 100 }): DayBatch =>
  oneStrand(
    'loaf',
    [
      withHands('mix', 3),
      act('bulk', 12, { mostSlots: 2 }),
      withHands('shape', 2, { mostSlots: 3 }),
      act('proof', 8, { mostSlots: 1 }),
      inOven('bake', 9, 220, { mostSlots: 2 }),
      act('cool', 24, { mostSlots: 0 }),
    ],
    promise,
  );

describe('an oven between two loads', () => {
  const oven = testOven('oven');
  const load = (setC: number, endC = setC, plate: Heat['plate'] = null) => ({ ovenIds: ['oven'], setC, endC, share: 0.5, plate });
  test.each<[string, number, number]>([
    ['from cold to 220 °C', coldSlots(oven, load(220)), 4],
    ['from cold with a stone', coldSlots(oven, load(220, 220, 'stone')), 7],
    ['hotter than it goes', coldSlots(oven, load(320)), Infinity],
    ['as it is', changeSlots(oven, load(220), load(220)), 1],
    ['up a hundred degrees', changeSlots(oven, load(150), load(250)), 2],
    ['down a hundred degrees', changeSlots(oven, load(250), load(150)), 4],
    ['from what it was left at', changeSlots(oven, load(250, 150), load(150)), 1],
    // hot air of 220 °C took four slots; a stone at 220 °C takes seven, one at 250 nine from cold
    ['onto a stone that was only in there', changeSlots(oven, load(220), load(220, 220, 'stone')), 3],
    ['onto it, and hotter', changeSlots(oven, load(220), load(250, 250, 'stone')), 5],
    ['onto the stone the last lay on', changeSlots(oven, load(220, 220, 'stone'), load(220, 220, 'stone')), 1],
    ['hot for nothing', idleSlots(oven, load(220), load(220), 4), 3],
    ['turned off meanwhile', idleSlots(oven, load(220), load(220), 90), 4],
    ['no time to be idle', idleSlots(oven, load(220), load(180), 1), 0],
  ])('%s', (_, is, expected) => expect(is).toBe(expected));
  test('shared at one temperature from end to end, on the same', () => {
    expect(mayShare(load(220), load(220))).toBe(true);
    expect([load(200), load(220, 180), load(220, 220, 'stone')].map((other) => mayShare(load(220), other))).toEqual([false, false, false]);
  });
}); // prettier-ignore

test('the least within a window behind each place', () => {
  const values = Float64Array.from([5, 3, Infinity, 4, 1]);
  const { POSITIVE_INFINITY: none } = Number;
  expect([...leastWithin({ from: 0, values }, 0, 1, 0, 4).values]).toEqual([3, 3, 4, 1, 1]);
  expect([...leastWithin({ from: 0, values }, 1, 2, 0, 4).values]).toEqual([3, 4, 1, 1, none]);
  expect([...leastWithin({ from: 0, values }, 2, null, 0, 4).values]).toEqual([1, 1, 1, none, none]);
});

describe('every rule is noticed where it is broken', () => {
  const problem = day({ batches: [loaf(), { ...loaf(), id: 'other' }] });
  const good = { mix: 40, bulk: 43, shape: 55, proof: 57, bake: 65, cool: 74 };
  const plan = (loafAt: Record<string, number>, otherAt?: Record<string, number>, ovenId: string | null = 'oven'): DayPlan => {
    const placed = (at: Record<string, number>) => ({
      variantId: 'plain',
      at: Object.fromEntries(Object.entries(at).map(([id, startSlot]) => [id, { startSlot, ovenId: id === 'bake' ? ovenId : null }])),
    });
    return { batches: { loaf: placed(loafAt), ...(otherAt && { other: placed(otherAt) }) } };
  };
  const later = (by: number) => Object.fromEntries(Object.entries(good).map(([id, at]) => [id, at + by]));
  const rules = (broken: readonly Broken[]) => [...new Set(broken.map(({ rule }) => rule))];
  test.each<[string, DayPlan, string[], Partial<DayProblem>?]>([
    ['nothing', plan(good), []],
    ['two, one after the other', plan(good, later(18)), []],
    ['the proof begins before it is shaped', plan({ ...good, proof: 56 }), ['tooSoon']],
    ['a proofed loaf waits', plan({ ...good, bake: 68, cool: 77 }), ['waitsTooLong']],
    ['half a slot', plan({ ...good, mix: 39.5 }), ['outsideDay']],
    ['after the day', plan(later(30)), ['outsideDay']],
    ['two doughs at once under two hands', plan(good, later(2)), ['noHands', 'ovenFull']],
    ['nobody there', plan(good), ['noHands', 'notLit'], { hands: [{ fromSlot: 0, toSlot: 60, people: 1 }] }],
    ['a colder load at once behind it', plan(good, later(18)), ['notHotYet'], { ovens: [{ ...testOven('oven'), recoverSlots: 10 }] }],
    ['no such oven', plan(good, undefined, 'grill'), ['unknownOven']],
    ['in no oven', plan(good, undefined, null), ['unknownOven']],
    ['an activity without a place', plan({ mix: 40 }), ['notPlaced']],
    ['a variant nobody knows', { batches: { loaf: { variantId: 'fancy', at: {} } } }, ['unknownVariant']],
    ['lit before the day', plan(good), ['notLit'], { ovens: [{ ...testOven('oven'), heats: { air: Array.from({ length: 31 }, () => 70) } }] }],
  ])('%s', (_, its, expected, more = {}) => {
    expect(rules(checkPlan({ ...problem, ...more }, its))).toEqual(expected);
  });
}); // prettier-ignore

describe('a plan worked out by hand', () => {
  test('backwards from when it has to be ready, the slack where the dough bears it', () => {
    const { plan, score } = solved(day({ batches: [loaf()] }));
    expect(starts(plan, 'loaf')).toEqual({ mix: 42, bulk: 45, shape: 57, proof: 59, bake: 67, cool: 76 });
    expect(score).toMatchObject({ unplaced: 0, late: 0, unwanted: 0, old: 0, idle: 0 });
  });

  test('what falls into hours off is moved before them, no further than the dough bears', () => {
    // shaped at 57 and put in at 67: nobody is there from 56 to 70
    const hands = [
      { fromSlot: 0, toSlot: 56, people: 1 },
      { fromSlot: 70, toSlot: 120, people: 1 },
    ];
    const { plan, score } = solved(day({ batches: [loaf()], hands }));
    // the bake cannot wait for 70: the whole loaf is earlier, or late; late is worse than old
    expect(starts(plan, 'loaf').bake! + 9 + 24).toBeLessThanOrEqual(100);
    expect(score).toMatchObject({ late: 0, old: 100 - 33 - starts(plan, 'loaf').bake! });
    expect(starts(plan, 'loaf').bake).toBe(55);
  });

  test('a bread that is promised for before it can be made is late by what it lacks', () => {
    const { score } = solved(day({ batches: [loaf({ fromSlot: 40, toSlot: 40 })] }));
    expect(score.late).toBe(3 + 12 + 2 + 8 + 9 + 24 - 40);
  });

  test('two breads at two heats: the cooler oven first, where its change costs less', () => {
    const flat = (id: string, setC: number) =>
      oneStrand(id, [inOven('bake', 6, setC), act('cool', 2, { mostSlots: 0 })], {
        fromSlot: 100,
        toSlot: 100,
      });
    const { plan, score } = solved(day({ batches: [flat('hot', 250), flat('mild', 150)] }));
    expect(starts(plan, 'hot').bake).toBe(92);
    // two slots up are less than four down: hot is last
    expect(starts(plan, 'mild').bake).toBe(92 - 2 - 6);
    expect(score).toMatchObject({ late: 0, old: 8, idle: 0 });
  });

  test('two that share the oven go in together', () => {
    const roll = (id: string) =>
      oneStrand(id, [inOven('bake', 6, 200, { hands: [] }, { share: 0.5 })], { fromSlot: 100, toSlot: 100 });
    const { plan } = solved(day({ batches: [roll('a'), roll('b')] }));
    expect([starts(plan, 'a').bake, starts(plan, 'b').bake]).toEqual([94, 94]);
  });

  test('loads of one dough follow one another, and the dough leaves room for the last', () => {
    const load = (at: number): Strand => ({
      id: `load${at}`,
      afterId: 'dough',
      activities: [inOven(`bake${at}`, 4, 240, { mostSlots: 12 })],
      promise: { fromSlot: 100, toSlot: 100 },
    });
    const flats: DayBatch = {
      id: 'flats',
      variants: [
        {
          id: 'plain',
          tasteCost: 0,
          strands: [
            { id: 'dough', afterId: null, activities: [withHands('mix', 3), act('proof', 10, { mostSlots: 0 })], promise: null },
            load(1), load(2), load(3),
          ],
        },
      ],
    }; // prettier-ignore
    const { plan, score } = solved(day({ batches: [flats] }), 120);
    const at = starts(plan, 'flats');
    expect([at.bake1, at.bake2, at.bake3].sort()).toEqual([86, 91, 96]);
    expect(score).toMatchObject({ unplaced: 0, late: 0, old: 5 + 10 });
  });

  test('a lever is pulled only where it keeps what nothing else keeps', () => {
    const two = (slow: number): DayBatch => {
      const [plain] = loaf().variants;
      const slower = plain!.strands.map((strand) => ({
        ...strand,
        activities: strand.activities.map((each) =>
          each.id === 'bulk' ? { ...each, lastsSlots: slow } : each,
        ),
      }));
      return { id: 'loaf', variants: [plain!, { id: 'half the yeast', tasteCost: 2, strands: slower }] };
    };
    expect(solved(day({ batches: [two(40)] })).plan.batches.loaf?.variantId).toBe('plain');
    // nobody is there when the quick one is shaped
    const hands = [
      { fromSlot: 0, toSlot: 18, people: 1 },
      { fromSlot: 56, toSlot: 120, people: 1 },
    ];
    const { plan, score } = solved(day({ batches: [two(40)], hands }));
    expect(plan.batches.loaf?.variantId).toBe('half the yeast');
    expect(score).toMatchObject({ late: 0, old: 0, taste: 2 });
  });

  test('hours one would rather not work in are used only where a promise asks for it', () => {
    const hands = [
      { fromSlot: 0, toSlot: 20, people: 1, unwanted: true as const },
      { fromSlot: 20, toSlot: 120, people: 1 },
    ];
    const quick = (toSlot: number) =>
      solved(day({ batches: [oneStrand('a', [withHands('mix', 6), act('bake', 20)], { fromSlot: toSlot, toSlot })], hands })); // prettier-ignore
    expect(quick(60).score).toMatchObject({ late: 0, unwanted: 0 });
    expect(quick(40).score).toMatchObject({ late: 0, unwanted: 6 });
    expect(quick(44).score).toMatchObject({ late: 0, unwanted: 2 });
  });

  test('what has a place keeps it, where an earlier plan is as good', () => {
    const batches = [
      loaf({ fromSlot: 90, toSlot: 100 }),
      { ...loaf({ fromSlot: 80, toSlot: 100 }), id: 'other' },
    ];
    const first = solved(day({ batches }));
    const earlier = Object.fromEntries(
      batches.flatMap(({ id }) => Object.entries(starts(first.plan, id)).map(([key, at]) => [`${id} ${key}`, at])),
    ); // prettier-ignore
    const again = solved(day({ batches: batches.toReversed(), earlier }));
    expect(again.score.changed).toBe(0);
    expect(again.plan.batches).toEqual(first.plan.batches);
  });
});

test('what cannot be placed at all is left out and said, the rest has its place', () => {
  const { plan, score } = solved(
    day({ batches: [loaf(), oneStrand('kiln', [inOven('bake', 6, 400)], { fromSlot: 100, toSlot: 100 })] }),
  );
  expect(Object.keys(plan.batches)).toEqual(['loaf']);
  expect(score.unplaced).toBe(1);
});

const TYPICAL = { batches: 4, steps: 10, slots: 240, ovens: 1, people: 1 };
test('random days: no rule is broken, and looking on makes nothing worse (./crumb soak day: a thousand)', () => {
  for (let seed = 1; seed <= 6; seed += 1) {
    const problem = randomDay(
      seed,
      seed % 3 === 0 ? { ...TYPICAL, batches: 8, ovens: 2, people: 2 } : TYPICAL,
    );
    const search = searchDay(problem, seed, 8);
    let before = search.next();
    for (let step = before; ; step = search.next()) {
      expect(checkPlan(problem, step.value.plan)).toEqual([]);
      expect(compareScores(step.value.score, before.value.score)).toBeLessThanOrEqual(0);
      before = step;
      if (step.done) break;
    }
    expect(before.value.score).toEqual(scoreOf(problem, before.value.plan));
  }
});

test('small days are as good as trying everything makes them (./crumb soak day: a hundred)', () => {
  const SMALL = { batches: 3, steps: 3, slots: 84, ovens: 1, people: 1 };
  for (const seed of [8, 200_058]) {
    const problem = randomDay(seed, SMALL);
    const { score } = solved(problem, 500);
    const { best, whole } = exactDay(problem, score, 1_500_000);
    expect({ seed, best, whole }).toEqual({ seed, best: null, whole: true });
    // and it would have said so
    expect(exactDay(problem, { ...score, old: score.old + 1 }, 1_500_000).best).toEqual(score);
    // so the bound is not above it, and where all is looked through it is just that, however bad the plan it is asked of
    const parts = { ...score, idle: 0 };
    expect([seed, compareScores(boundOf(problem, score, 40), parts) <= 0]).toEqual([seed, true]);
    expect([seed, boundOf(problem, { ...score, old: score.old + 2 }, 40, 400_000)]).toEqual([seed, parts]);
  }
});

test('one start asked for alone is as open as among all others', () => {
  const problem = randomDay(17, { batches: 5, steps: 6, slots: 160, ovens: 2, people: 1 });
  const { plan } = solved(problem, 5);
  const board = new Board(problem);
  const [one, ...others] = problem.batches;
  for (const { id, variants } of others) {
    const placed = plan.batches[id];
    if (placed) putStrands(board, id, variants.find((each) => each.id === placed.variantId)!.strands, placed.at);
  }
  const seen = { open: 0, shut: 0 };
  for (const activity of one!.variants[0]!.strands.flatMap(({ activities }) => activities)) {
    const { open } = board.openings(activity);
    for (let slot = 0; slot <= problem.slots - activity.lastsSlots; slot += 1) {
      const is = board.isOpen(activity, slot);
      expect([activity.id, slot, is]).toEqual([activity.id, slot, open === null || open[slot] === 1]);
      seen[is ? 'open' : 'shut'] += 1;
    }
    expect([-1, problem.slots - activity.lastsSlots + 1].map((slot) => board.isOpen(activity, slot))).toEqual([false, false]);
  }
  expect(Math.min(seen.open, seen.shut)).toBeGreaterThan(100);
}); // prettier-ignore

test('looked for around its promise first, a bread is as well off as with the whole day before it', () => {
  // by half past eight in the morning hands are gone, or are there in hours nobody likes: it is made before that, however old it gets
  const worked = [oneStrand('a', [withHands('work', 6)], { fromSlot: 200, toSlot: 200 })];
  const till = { fromSlot: 0, toSlot: 110, people: 1 };
  for (const rest of [{ fromSlot: 110, toSlot: 288, people: 1, unwanted: true as const }, { fromSlot: 205, toSlot: 288, people: 1 }])
    expect(solved(day({ slots: 288, batches: worked, hands: [till, rest] }), 1).score).toMatchObject({ unplaced: 0, late: 0, unwanted: 0, old: 90 });
  for (const seed of [1, 2, 3, 4]) {
    const problem = randomDay(seed, { batches: 5, steps: 6, slots: 480, ovens: 1, people: 1 });
    const { plan } = solved(problem, 4);
    for (const batch of problem.batches) {
      const found = [false, true].map((thorough) => {
        const board = new Board(problem);
        for (const { id, variants } of problem.batches) {
          const placed = plan.batches[id];
          const variant = variants.find((each) => each.id === placed?.variantId);
          if (id !== batch.id && placed && variant) putStrands(board, id, variant.strands, placed.at);
        }
        return placeBatch(problem, board, batch, { thorough })?.score ?? null;
      });
      expect(found[0]).toEqual(found[1]);
    }
  }
}); // prettier-ignore

test('the same for the same seed', () => {
  const problem = randomDay(5, TYPICAL);
  expect(solved(problem, 20)).toEqual(solved(problem, 20));
});

test('no plan is better than its bound; alone, and where nothing is in the way, it is reached', () => {
  let reached = 0;
  for (let seed = 1; seed <= 40; seed += 1) {
    const problem = randomDay(500 + seed, { batches: 1 + (seed % 4), steps: 3 + (seed % 5), slots: 160, ovens: 1, people: 1 });
    const search = searchDay(problem, seed, 6);
    let step = search.next();
    while (!step.done) step = search.next();
    const bound = boundOf(problem, step.value.score, 12);
    const over = compareScores({ ...step.value.score, idle: 0 }, bound);
    expect([seed, over >= 0]).toEqual([seed, true]);
    if (over === 0) reached += 1;
  }
  expect(reached).toBeGreaterThan(10);
  const kiln = oneStrand('kiln', [inOven('bake', 5, 400)], { fromSlot: 50, toSlot: 50 });
  const kilned = day({ batches: [kiln, loaf()] });
  expect(boundOf(kilned, { ...NOTHING, unplaced: 2 }, 5)).toMatchObject({ unplaced: 1, late: 0 });
}); // prettier-ignore
