import { clockMs, clockOf, dayBatch, laidOut } from '../../../tests/kitchenDays';
import { agendaOf } from './agenda';
import type { DayDocument } from './dayDocument';
import type { DayBatch, DayPlan, DayProblem } from './dayProblem';
import { mixedUp } from './keepApart';
import { dayWith } from './laidOut';
import { ORDINARY_LIFE, lifeDocumentSchema, type LifeDocument } from './lifeDocument';
import { lifeHands } from './lifeHands';
import { NOT_SHARED, wheatMoments, type Shared } from './shared';

const EGG_FREE = '0b8f6d1c-52a1-4b0f-8a53-1f4f7c1f9d01';
const EGGY = '0b8f6d1c-52a1-4b0f-8a53-1f4f7c1f9d02';
const dayOf = (...batches: DayDocument['batches']): DayDocument => ({ batches, lit: [] });
const lifeWith = (shared: Partial<Shared>): LifeDocument => ({
  ...ORDINARY_LIFE,
  shared: { ...NOT_SHARED, ...shared },
});
/** Saturday mornings. */
const WHEAT = [{ name: 'Wheat', days: [6], from: '08:00', to: '11:00' }];
const handsOf = (view: ReturnType<typeof laidOut>, id: string) =>
  view.batches.find((batch) => batch.id === id)!.blocks.flatMap(({ hands }) => hands);
const firstOf = (view: ReturnType<typeof laidOut>, id: string) =>
  Math.min(...handsOf(view, id).map(({ fromMs }) => fromMs));
const lastOf = (view: ReturnType<typeof laidOut>, id: string) =>
  Math.max(...handsOf(view, id).map(({ toMs }) => toMs));

test('wheat hangs in the air until its dust has settled, then all is cleaned down; two that overlap are cleaned after once', () => {
  const shared = { ...NOT_SHARED, wheat: [...WHEAT, { name: 'More', days: [6], from: '12:00', to: '14:00' }], settleMin: 120, cleanMin: 20 };
  const { dusty, cleans } = wheatMoments(shared, 'Europe/Lisbon', clockMs('00:00'), clockMs('23:00'));
  expect(dusty.map(({ fromMs, toMs }) => [clockOf(fromMs), clockOf(toMs)])).toEqual([['08:00', '13:00'], ['12:00', '16:00']]);
  expect(cleans.map(({ fromMs, toMs }) => [clockOf(fromMs), clockOf(toMs)])).toEqual([['16:00', '16:20']]);
  // what ended before the day may still hang in the air
  expect(wheatMoments({ ...NOT_SHARED, wheat: WHEAT }, 'Europe/Lisbon', clockMs('12:00'), clockMs('23:00')).dusty).toHaveLength(1);
  expect(wheatMoments(NOT_SHARED, 'Europe/Lisbon', clockMs('00:00'), clockMs('23:00'))).toEqual({ dusty: [], cleans: [] });
}); // prettier-ignore

test('bread without gluten: no hand on it from the first wheat till all is clean, and the cleaning is called for', () => {
  const day = dayOf(dayBatch(EGG_FREE, 'supper-rolls', '18:30'));
  const life = lifeWith({ wheat: WHEAT, settleMin: 120, cleanMin: 20, own: ['stone'] });
  const view = laidOut(day, '06:30', { life });
  expect(view.batches[0]!.collision).toBeNull();
  for (const { fromMs, toMs } of handsOf(view, EGG_FREE)) expect(toMs <= clockMs('08:00') || fromMs >= clockMs('13:20')).toBe(true);
  expect(view.cleans.map(({ atMs, untilMs, beforeId }) => [clockOf(atMs), clockOf(untilMs), beforeId])).toEqual([['13:00', '13:20', null]]);
  const saved = dayWith(day, view);
  expect(agendaOf(saved).find(({ kind }) => kind === 'clean')).toMatchObject({ atMs: clockMs('13:00') });
  // done before the wheat nothing has to be cleaned for it
  const early = laidOut(dayOf(dayBatch(EGG_FREE, 'griddle-flats', '07:55')), '04:00', { life: { ...life, away: [] } });
  expect(early.batches[0]!.collision).toBeNull();
  expect(early.cleans).toEqual([]);
}); // prettier-ignore

test('without egg before with egg, where no promise breaks by it; else cleaning down in between is called for', () => {
  const life = { ...lifeWith({ apart: ['egg'], cleanMin: 15 }), away: [] };
  const both = (eggFree: string, eggy: string) => dayOf(dayBatch(EGGY, 'plum-buns', eggy), dayBatch(EGG_FREE, 'supper-rolls', eggFree));
  // the one with egg at any time of the evening: it is put off until the rolls are done
  const evening = { fromMs: clockMs('15:00'), toMs: clockMs('23:55') };
  const any = dayOf(dayBatch(EGGY, 'soda-rings', null, { ready: evening }), dayBatch(EGG_FREE, 'supper-rolls', '18:00'));
  const apart = laidOut(any, '08:00', { life, rounds: 20 });
  const plain = laidOut(any, '08:00', { life: { ...life, shared: NOT_SHARED }, rounds: 20 });
  expect(firstOf(plain, EGGY)).toBeLessThan(lastOf(plain, EGG_FREE));
  expect(apart.cleans).toEqual([]);
  expect(firstOf(apart, EGGY)).toBeGreaterThanOrEqual(lastOf(apart, EGG_FREE));
  expect([apart.score.unplaced, apart.score.late]).toEqual([0, 0]);
  // egg for breakfast, without for supper: it cannot be the other way, and is said
  const chosen = laidOut(both('19:00', '11:00'), '06:00', { life, rounds: 20 });
  const [clean] = chosen.cleans;
  expect(clean).toMatchObject({ allergens: ['egg'], beforeId: EGG_FREE });
  expect(clean!.untilMs).toBe(firstOf(chosen, EGG_FREE));
  expect(clean!.untilMs - clean!.atMs).toBe(15 * 60_000);
  // egg late anyway: nothing to choose
  expect(laidOut(both('12:00', '20:00'), '06:00', { life, rounds: 20 }).cleans).toEqual([]);
}); // prettier-ignore

test('nobody has a hand for bread without wheat while it is worked, and one less while it is cleaned', () => {
  const life = { ...lifeWith({ wheat: WHEAT, settleMin: 60, cleanMin: 30 }), away: [], people: 2 };
  const there = lifeHands(life, 'Europe/Lisbon', clockMs('06:00'), clockMs('20:00'));
  if (!there.ok) throw new Error(there.problem.code);
  expect(there.value.hands.map(({ fromMs, toMs, people }) => [clockOf(fromMs), clockOf(toMs), people])).toEqual([['06:00', '08:00', 2], ['12:00', '12:30', 1], ['12:30', '20:00', 2]]);
}); // prettier-ignore

test('a shared kitchen that cannot be is refused', () => {
  const good = (shared: object) => lifeDocumentSchema.safeParse({ ...ORDINARY_LIFE, shared: { ...NOT_SHARED, ...shared } }).success;
  expect([good({}), good({ wheat: WHEAT }), good({ settleMin: -1 }), good({ cleanMin: 2.5 }), good({ apart: ['bread'] }), good({ wheat: [{ ...WHEAT[0], days: [] }] }), good({ wheat: [{ ...WHEAT[0], to: '08:00' }] })]).toEqual([true, true, false, false, false, false, false]);
}); // prettier-ignore

test('what has begun with egg was worked first, however late it is gone on with', () => {
  const work = (id: string): DayBatch => ({
    id,
    variants: [{ id: 'v', tasteCost: 0, strands: [{ id: 'd', afterId: null, promise: null, activities: [{ id: 'mix', lastsSlots: 3, leastSlots: 0, mostSlots: null, hands: [{ fromSlot: 0, toSlot: 3 }], uses: [], heat: null }] }] }],
  });
  const problem: DayProblem = { slotMin: 5, slots: 100, batches: [work('egg'), work('free')], hands: [{ fromSlot: 0, toSlot: 100, people: 1 }], ovens: [], resources: [] };
  const plan: DayPlan = { batches: { egg: { variantId: 'v', at: { mix: { startSlot: 50, ovenId: null } } }, free: { variantId: 'v', at: { mix: { startSlot: 20, ovenId: null } } } } };
  const mixed = (begun: boolean) => mixedUp(problem, plan, new Map([['egg', { holds: ['egg' as const], begun }], ['free', { holds: [], begun: false }]]));
  expect(mixed(false)).toEqual([]);
  expect(mixed(true)).toEqual([{ withId: 'egg', withoutId: 'free', allergens: ['egg'], slot: 20 }]);
}); // prettier-ignore
