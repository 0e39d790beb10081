import { begunDay, type Progress } from './begunDay';
import { layAnew } from './layAnew';
import { playPlan } from './play';
import { dayOf, type Day, type DayBatchWish } from './dayOf';
import { searchDay } from './searchDay';
import { planBatch } from '../batch';
import { libraryBook } from '../ingredients';
import { plainLoaf } from '../formula/testFormulas';
import { ORDINARY_KIT } from '../kit';
import { newStep, type StepKind } from '../method';
import type { DayPlan } from './dayProblem';
import { act, oneStrand, testOven } from './testDays';

const HOUR_MS = 3_600_000;
const now = Date.UTC(2026, 10, 28, 8);
const step = (kind: StepKind, min: number, tempC: number | null = null) => ({
  ...newStep(kind, kind),
  minS: min * 60,
  tempC,
});
const loaf = {
  ...plainLoaf(),
  steps: [step('mix', 10), step('proof', 120), step('bake', 45, 220), step('cool', 60)],
}; // prettier-ignore
const sheet = planBatch(
  loaf,
  { mode: 'pieces', pieces: 1, pieceMassG: 900, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0 },
  ORDINARY_KIT.scales, libraryBook,
); // prettier-ignore
if (!sheet.ok) throw new Error(sheet.problem.code);
const SHEET = sheet.value;

const wish = (id: string, fromH: number, toH: number): DayBatchWish => ({
  id, ways: [{ id: 'as written', tasteCost: 0, sheet: SHEET }], formula: loaf, ready: { fromMs: now + fromH * HOUR_MS, toMs: now + toH * HOUR_MS },
}); // prettier-ignore
function planned(batches: DayBatchWish[]): { day: Day; plan: DayPlan } {
  const day = dayOf({ fromMs: now, endMs: now + 14 * HOUR_MS, slotMin: 5, kit: ORDINARY_KIT, batches, hands: [{ fromMs: now, toMs: now + 14 * HOUR_MS, people: 1 }] }); // prettier-ignore
  if (!day.ok) throw new Error(day.problem.code);
  const search = searchDay(day.value.problem, 1, 20);
  let found = search.next();
  while (!found.done) found = search.next();
  return { day: day.value, plan: found.value.plan };
}
const play = ({ day, plan }: ReturnType<typeof planned>, seed: number, draws = 400, yeast = 1) =>
  playPlan(day, plan, { seed, draws, yeast });

test('what is planned to the minute is late half the time; an hour’s room is nearly always enough', () => {
  const [tight] = play(planned([wish('a', 8, 8)]), 1);
  expect(tight?.ready.middle).toBeGreaterThan(96);
  expect(tight?.chance).toBeGreaterThan(0.4);
  expect(tight?.chance).toBeLessThan(0.75);
  // two hours of proof, a fifth more or less: on eight days of ten within half an hour or so
  expect((tight!.ready.high - tight!.ready.low) * 5).toBeGreaterThan(20);
  expect((tight!.ready.high - tight!.ready.low) * 5).toBeLessThan(80);
  const [roomy] = play(planned([wish('a', 8, 9.5)]), 1);
  expect(roomy!.chance).toBeGreaterThan(0.95);
});

test('a load behind another is late with it', () => {
  const both = planned([wish('a', 8, 8), wish('b', 8, 8)]);
  const chances = play(both, 3).map(({ chance }) => chance);
  // the first has fifty minutes of room, the last none
  expect(Math.max(...chances)).toBeGreaterThan(0.95);
  expect(Math.min(...chances)).toBeLessThan(
    Math.min(0.75, play(planned([wish('a', 8, 8)]), 3)[0]!.chance + 0.05),
  );
});

test('slower yeast keeps fewer promises, and no day knows the seed', () => {
  const one = planned([wish('a', 7.75, 8)]);
  const chance = (seed: number, yeast = 1) => play(one, seed, 200, yeast)[0]!.chance;
  expect(chance(1, 1.25)).toBeLessThan(chance(1) - 0.2);
  expect(play(one, 5)).toEqual(play(one, 5));
  for (let seed = 2; seed < 12; seed += 1) expect(Math.abs(chance(seed) - chance(1))).toBeLessThan(0.12);
});

test('one kettle, one oven, one pair of hands: who is second waits for the first, however long that took', () => {
  const lastsS = { min: 1200, typical: 1800, max: 2700 };
  const block = { id: 'boil', calls: [], lastsS, kind: 'boil', handsOn: true, resource: 'kettle', wayId: null, load: null, mayWaitS: 0, heat: null } as const;
  /** Two things of six slots, one behind the other, under so many hands, in so many kettles, in one oven or each in its own. */
  const second = (people: number, kettles: number, ovens: 1 | 2) => {
    const boil = act('boil', 6, {
      hands: [{ fromSlot: 0, toSlot: 6 }],
      uses: [{ resourceId: 'kettle', amount: 1 }],
      heat: { ovenIds: ['oven', 'oven2'], setC: 200, endC: 200, share: 1, plate: null },
    });
    const day: Day = {
      fromMs: 0, slotMs: 300_000, blocks: new Map([['a plain boil', block], ['b plain boil', block]]),
      problem: {
        slotMin: 5, slots: 60, ovens: ['oven', 'oven2'].map((id) => ({ ...testOven(id), recoverSlots: 0 })),
        resources: [{ id: 'kettle', capacity: kettles }], hands: [{ fromSlot: 0, toSlot: 60, people }],
        batches: [oneStrand('a', [boil], { fromSlot: 6, toSlot: 6 }), oneStrand('b', [boil], { fromSlot: 12, toSlot: 12 })],
      },
    };
    const at = (startSlot: number, ovenId: string) => ({ variantId: 'plain', at: { boil: { startSlot, ovenId } } });
    const plan = { batches: { a: at(0, 'oven'), b: at(6, ovens === 1 ? 'oven' : 'oven2') } };
    return playPlan(day, plan, { seed: 1, draws: 400 }).find(({ batchId }) => batchId === 'b')!;
  };
  const free = second(2, 2, 2);
  const bound = second(1, 2, 2);
  expect(bound.ready.high).toBeGreaterThan(free.ready.high + 0.7);
  expect(bound.chance).toBeLessThan(free.chance - 0.1);
  // whichever it is that there is one of
  expect(second(2, 1, 2)).toEqual(bound);
  expect(second(2, 2, 1)).toEqual(bound);
}); // prettier-ignore

test('plans hold as often as they say: on days nobody has drawn before, one yeast of five a quarter off', () => {
  // two hundred days: forty plans, each played on five days it has not seen
  let told = 0;
  let held = 0;
  for (let at = 0; at < 40; at += 1) {
    const batches = Array.from({ length: 1 + (at % 3) }, (_, index) => wish(`b${index}`, 7 + index, 7 + index + (at % 5) * 0.2));
    const one = planned(batches);
    const outcomes = play(one, 1, 200);
    const days = Array.from({ length: 5 }, (_, day) => play(one, 1000 + 10 * at + day, 1));
    told += outcomes.reduce((sum, { chance }) => sum + chance, 0) / outcomes.length / 40;
    held += days.flat().reduce((sum, { chance }) => sum + chance, 0) / days.flat().length / 40;
  }
  expect(told).toBeGreaterThan(0.6);
  expect(told).toBeLessThan(0.95);
  expect(Math.abs(told - held)).toBeLessThan(0.07);
}); // prettier-ignore

test('an oven does not wait until somebody is back: bread that is done while nobody is there is lost', () => {
  const made = dayOf({ fromMs: now, endMs: now + 14 * HOUR_MS, slotMin: 5, kit: ORDINARY_KIT, batches: [wish('a', 8, 8)], hands: [{ fromMs: now, toMs: now + 14 * HOUR_MS, people: 1 }] });
  if (!made.ok) throw new Error(made.problem.code);
  const { plan } = planned([wish('a', 8, 8)]);
  const bake = made.value.problem.batches[0]!.variants[0]!.strands[0]!.activities.find(({ id }) => id === 'bake')!;
  const outSlot = plan.batches.a!.at.bake!.startSlot + bake.lastsSlots;
  const leaving = (slot: number): Day => ({ ...made.value, problem: { ...made.value.problem, hands: [{ fromSlot: 0, toSlot: slot, people: 1 }, { fromSlot: slot + 30, toSlot: 200, people: 1 }] } });
  const chance = (slot: number) => playPlan(leaving(slot), plan, { seed: 1, draws: 400 })[0]!.chance;
  const unbound = playPlan(made.value, plan, { seed: 1, draws: 400 })[0]!.chance;
  expect(chance(outSlot)).toBeLessThan(unbound);
  expect(chance(outSlot + 20)).toBeCloseTo(unbound, 1);
  expect(chance(outSlot - 2)).toBeLessThan(0.2);
}); // prettier-ignore

test('what has begun: what is done took as long as it did, what is not lasts until now at least, and its oven is taken', () => {
  const { day, plan } = planned([wish('a', 8, 8)]);
  const at = plan.batches.a!.at;
  const activities = day.problem.batches[0]!.variants[0]!.strands[0]!.activities;
  const endOf = (id: string) => at[id]!.startSlot + activities.find((each) => each.id === id)!.lastsSlots;
  const readyAfter = (told: readonly (readonly [string, Progress])[], nowSlot: number) => {
    const progress = new Map(told);
    const begun = begunDay(day.problem, plan, progress, nowSlot);
    const anew = layAnew(begun.problem, begun.plan, 1, 0);
    let step = anew.next();
    while (!step.done) step = anew.next();
    return playPlan({ ...day, problem: begun.problem }, step.value.plan, { seed: 1, draws: 400 })[0]!.ready;
  };
  const mixed = ['a mix', { startSlot: at.mix!.startSlot, endSlot: endOf('mix') }] as const;
  const proofing = ['a proof', { startSlot: at.proof!.startSlot, endSlot: null }] as const;
  const proofed = ['a proof', { startSlot: at.proof!.startSlot, endSlot: endOf('proof') }] as const;
  const baking = ['a bake', { startSlot: at.bake!.startSlot, endSlot: null }] as const;
  const spread = ({ low, high }: { low: number; high: number }) => high - low;
  const before = readyAfter([mixed], endOf('mix'));
  const risen = readyAfter([mixed, proofed, baking], at.bake!.startSlot + 1);
  // it is there, and waits for its oven: how long it took is no question any more
  expect(spread(readyAfter([mixed, proofed], endOf('proof') + 2))).toBeLessThan(0.5 * spread(before));
  // two hours of proof are behind it: only bake and cooling are still unsure
  expect(spread(before)).toBeGreaterThan(5);
  expect(spread(risen)).toBeLessThan(0.5 * spread(before));
  // it should have been there by now, and is not: nothing is ready sooner than from now on
  const late = endOf('proof') + 6;
  expect(readyAfter([mixed, proofing], late).low).toBeGreaterThanOrEqual(late + 0.85 * (9 + 12));
}); // prettier-ignore
