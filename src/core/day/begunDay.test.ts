import { begunDay, type Progress } from './begunDay';
import { checkPlan } from './checkPlan';
import type { DayActivity, DayBatch, DayPlan, DayProblem, Strand } from './dayProblem';
import { layAnew } from './layAnew';
import { compareScores, keyOf, scoreOf } from './score';
import { searchDay } from './searchDay';
import { act, inOven, oneStrand, randomDay, testOven, withHands } from './testDays';

function last<T>(steps: Generator<T, T, void>): T {
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}

/** Everything of a plan that has begun by then, as planned, but what is named so much later. */
function progressOf(problem: DayProblem, plan: DayPlan, nowSlot: number, late: Readonly<Record<string, number>> = {}) {
  const progress = new Map<string, Progress>();
  for (const { id, variants } of problem.batches) {
    const placed = plan.batches[id];
    for (const { activities } of variants.find((each) => each.id === placed?.variantId)?.strands ?? [])
      for (const activity of activities) {
        const startSlot = placed!.at[activity.id]!.startSlot + (late[activity.id] ?? 0);
        const end = startSlot + activity.lastsSlots;
        if (startSlot < nowSlot) progress.set(keyOf(id, activity), { startSlot, endSlot: end <= nowSlot ? end : null });
      }
  }
  return progress;
} // prettier-ignore

const loaf = oneStrand(
  'loaf',
  [
    withHands('mix', 3),
    act('bulk', 12, { mostSlots: 4 }),
    withHands('shape', 2, { mostSlots: 4 }),
    act('proof', 8, { mostSlots: 2 }),
    inOven('bake', 9, 220, { mostSlots: 2 }),
    act('cool', 6, { mostSlots: 0 }),
  ],
  { fromSlot: 60, toSlot: 62 },
);
const flat = oneStrand(
  'flat',
  [withHands('mix', 2), act('rest', 6, { mostSlots: 40 }), inOven('bake', 3, 250, { mostSlots: 4 })],
  { fromSlot: 66, toSlot: 70 },
);
const day: DayProblem = {
  slotMin: 5,
  slots: 100,
  batches: [loaf, flat],
  hands: [{ fromSlot: 0, toSlot: 100, people: 1 }],
  ovens: [testOven('oven')],
  resources: [{ id: 'mixer', capacity: 1 }],
};
const planned = last(searchDay(day, 1, 40));
const startOf = (plan: DayPlan, batch: string, activity: string) =>
  plan.batches[batch]?.at[activity]?.startSlot;

test('what goes as planned changes nothing', () => {
  for (const nowSlot of [20, 30, 45, 55]) {
    const begun = begunDay(day, planned.plan, progressOf(day, planned.plan, nowSlot), nowSlot);
    const { plan, score } = last(layAnew(begun.problem, begun.plan, 1, 40));
    expect(checkPlan(begun.problem, plan)).toEqual([]);
    expect(score).toMatchObject({ unplaced: 0, late: 0, changed: 0 });
    expect(startOf(plan, 'flat', 'bake')).toBe(startOf(planned.plan, 'flat', 'bake'));
  }
});

test('a dough mixed twenty minutes late takes it from what it bears, and the supper stays where it was', () => {
  const mixed = startOf(planned.plan, 'loaf', 'mix')!;
  const nowSlot = mixed + 3;
  const progress = new Map(progressOf(day, planned.plan, nowSlot)).set('loaf mix', { startSlot: mixed + 2, endSlot: null });
  const begun = begunDay(day, planned.plan, progress, nowSlot);
  const { plan, score } = last(layAnew(begun.problem, begun.plan, 1, 40));
  expect(checkPlan(begun.problem, plan)).toEqual([]);
  // the bulk follows the mix; what may wait was waiting for that
  expect(startOf(plan, 'loaf', 'bulk')).toBeGreaterThanOrEqual(mixed + 5);
  expect(score.late).toBe(0);
  expect(startOf(plan, 'flat', 'mix')).toBe(startOf(planned.plan, 'flat', 'mix'));
}); // prettier-ignore

test('what is under way longer than it was to last lasts until now at least, and its oven is taken till then', () => {
  const nowSlot = startOf(planned.plan, 'loaf', 'bake')! + 14;
  const progress = progressOf(day, planned.plan, nowSlot - 9);
  progress.set('loaf bake', { startSlot: nowSlot - 14, endSlot: null, lastsSlots: 16 });
  // nobody said how long: it has lasted until now, however long that is
  const silent = new Map(progress).set('loaf bake', { startSlot: nowSlot - 14, endSlot: null });
  expect(begunDay(day, planned.plan, silent, nowSlot).problem.facts?.at(-1)).toMatchObject({ activity: { id: 'bake', lastsSlots: 14 } });
  const { problem } = begunDay(day, planned.plan, progress, nowSlot);
  expect(problem.facts?.at(-1)).toMatchObject({ activity: { id: 'bake', lastsSlots: 16 }, startSlot: nowSlot - 14, ovenId: 'oven' });
  const left = problem.batches[0]!.variants[0]!.strands[0]!.activities;
  expect(left.map(({ id }) => id)).toEqual(['bake', 'cool']);
  expect(left[0]).toMatchObject({ lastsSlots: 16, hands: [], heat: null, within: { fromSlot: nowSlot - 14 } });
}); // prettier-ignore

test('what waits too long already may be gone on with at once', () => {
  const progress = new Map<string, Progress>([['loaf mix', { startSlot: 0, endSlot: 3 }], ['loaf bulk', { startSlot: 3, endSlot: 15 }]]);
  const begun = begunDay(day, planned.plan, progress, 40);
  const { plan, score } = last(layAnew(begun.problem, begun.plan, 1, 40));
  expect(checkPlan(begun.problem, plan)).toEqual([]);
  expect(score.unplaced).toBe(0);
  expect(startOf(plan, 'loaf', 'shape')).toBeLessThanOrEqual(44);
}); // prettier-ignore

test('loads of a dough that has waited too long go in as soon as they can, and not before their oven is hot', () => {
  const strand = (id: string, activities: DayActivity[], afterId: string | null): Strand => ({ id, afterId, activities, promise: afterId === null ? null : { fromSlot: 30, toSlot: 32 } });
  const load = (at: number) => strand(`bread/${at}`, [inOven(`bake${at}`, 4, 220, { mostSlots: 2 + 5 * (at - 1) })], 'dough');
  const rolls: DayBatch = { id: 'rolls', variants: [{ id: 'plain', tasteCost: 0, strands: [strand('dough', [withHands('mix', 2), act('proof', 10, { mostSlots: 0 })], null), load(1), load(2)] }] };
  const problem: DayProblem = { ...day, batches: [rolls] };
  const { plan } = last(searchDay(problem, 1, 10));
  // proofed since slot 12, and nobody put anything in until 40
  const progress = new Map([['rolls mix', { startSlot: 0, endSlot: 2 }], ['rolls proof', { startSlot: 2, endSlot: 12 }]]);
  const starts = (hot: number) => {
    const begun = begunDay({ ...problem, litSlot: { oven: 20 } }, plan, progress, 40, () => hot);
    const anew = last(layAnew(begun.problem, begun.plan, 1, 10));
    expect([hot, checkPlan(begun.problem, anew.plan), anew.score.unplaced]).toEqual([hot, [], 0]);
    return begun.problem.batches[0]!.variants[0]!.strands.slice(1).map(({ activities }) => activities[0]!.mostSlots);
  };
  // so long after the dough was ready
  expect(starts(0)).toEqual([28 + 2, 28 + 7]);
  expect(starts(46)).toEqual([34 + 2, 34 + 7]);
}); // prettier-ignore

test('a dough that is there sooner than planned is not left to wait longer than it bears', () => {
  const [mixed, risen] = [startOf(planned.plan, 'loaf', 'mix')! - 6, startOf(planned.plan, 'loaf', 'bulk')! - 6];
  const progress = new Map([['loaf mix', { startSlot: mixed, endSlot: mixed + 3 }], ['loaf bulk', { startSlot: risen, endSlot: risen + 12 }]]);
  const begun = begunDay(day, planned.plan, progress, risen + 12);
  const { plan } = last(layAnew(begun.problem, begun.plan, 1, 40));
  expect(checkPlan(begun.problem, plan)).toEqual([]);
  expect(startOf(plan, 'loaf', 'shape')).toBeLessThanOrEqual(risen + 16);
}); // prettier-ignore

test('what is pinned is there or nowhere, and the others make room', () => {
  const bake = startOf(planned.plan, 'flat', 'bake')!;
  const pinned = (startSlot: number): DayProblem => ({
    ...day,
    batches: [loaf, oneStrand('flat', flat.variants[0]!.strands[0]!.activities.map((each) => (each.id === 'bake' ? { ...each, within: { fromSlot: startSlot, toSlot: startSlot } } : each)), { fromSlot: 66, toSlot: 70 })],
  });
  const one = last(searchDay(pinned(bake - 3), 1, 30));
  expect(checkPlan(pinned(bake - 3), one.plan)).toEqual([]);
  expect(startOf(one.plan, 'flat', 'bake')).toBe(bake - 3);
  expect(last(searchDay(pinned(1), 1, 30)).plan.batches.flat).toBeUndefined();
}); // prettier-ignore

test('random days under way: no rule is broken, and nothing is changed that could have stayed', () => {
  let quiet = 0;
  for (let seed = 1; seed <= 40; seed += 1) {
    const problem = randomDay(9000 + seed, { batches: 4, steps: 3 + (seed % 5), slots: 160, ovens: 1 + (seed % 2), people: 1 });
    const { plan, score } = last(searchDay(problem, seed, 4));
    const nowSlot = 30 + ((seed * 17) % 70);
    // whatever is mixed is mixed a little late
    const begun = begunDay(problem, plan, progressOf(problem, plan, nowSlot, { mix: seed % 3 }), nowSlot);
    const anew = last(layAnew(begun.problem, begun.plan, seed, 6));
    expect([seed, checkPlan(begun.problem, anew.plan)]).toEqual([seed, []]);
    // where nothing went otherwise and nothing is late nothing is changed, though more looking might find better
    if (seed % 3 === 0 && score.unplaced + score.late === 0) {
      quiet += 1;
      expect([seed, anew.score.changed]).toEqual([seed, 0]);
    }
    for (const [id, placed] of Object.entries(anew.plan.batches))
      for (const [activity, { startSlot, ovenId }] of Object.entries(placed.at)) {
        const was = begun.problem.earlier?.[`${id} ${activity}`];
        if (was === undefined || was === startSlot) continue;
        const back: DayPlan = { batches: { ...anew.plan.batches, [id]: { ...placed, at: { ...placed.at, [activity]: { startSlot: was, ovenId } } } } };
        const could = checkPlan(begun.problem, back).length === 0 && compareScores(scoreOf(begun.problem, back), scoreOf(begun.problem, anew.plan)) < 0;
        expect([seed, id, activity, could]).toEqual([seed, id, activity, false]);
      }
  }
  expect(quiet).toBeGreaterThan(3);
}); // prettier-ignore

test('an oven is not lit before now', () => {
  const now = { ...day, nowSlot: 20, batches: [oneStrand('quick', [inOven('bake', 5, 220)], { fromSlot: 0, toSlot: 0 })] };
  const { plan } = last(searchDay(now, 1, 5));
  // four slots from cold
  expect(startOf(plan, 'quick', 'bake')).toBe(24);
  expect(checkPlan(now, plan)).toEqual([]);
  const sooner: DayPlan = { batches: { quick: { variantId: 'plain', at: { bake: { startSlot: 22, ovenId: 'oven' } } } } };
  expect(checkPlan(now, sooner).map(({ rule }) => rule)).toEqual(['notLit']);
  // but where it has been on for a while
  const on = { ...now, litSlot: { oven: 18 } };
  expect(startOf(last(searchDay(on, 1, 5)).plan, 'quick', 'bake')).toBe(22);
  expect(checkPlan(on, sooner)).toEqual([]);
}); // prettier-ignore
