import { editDay } from './dayEdit';
import { dayWith } from './laidOut';
import { clockMs, clockOf, dayBatch, laidOut } from '../../../tests/kitchenDays';

const day = {
  batches: [dayBatch('knots', 'fried-knots', '18:00'), dayBatch('rolls', 'supper-rolls', '19:00')],
  lit: [],
};

test('a promise that does not hold surely: planned sooner by as much as is told, it holds about as often as is told', () => {
  const before = laidOut(day, '10:00');
  const [knots] = before.batches;
  expect(clockOf(knots!.readyMs!)).toBe('18:00');
  expect(knots!.likely!.chance).toBeLessThan(0.85);
  const { spareMin, chance } = knots!.surer!;
  expect(spareMin % 15).toBe(0);
  expect(chance).toBeGreaterThanOrEqual(knots!.likely!.chance + 0.1);
  const made = editDay(dayWith(day, before), { type: 'spare', batchId: 'knots', spareMin }, clockMs('10:00'));
  if (!made.ok) throw new Error(made.problem.code);
  const after = laidOut(made.value, '10:00');
  const then = after.batches[0]!;
  expect(then.readyMs).toBeLessThanOrEqual(clockMs('18:00') - 60_000 * spareMin);
  expect(then.readyMs).toBeGreaterThan(clockMs('18:00') - 60_000 * (spareMin + 30));
  // still against eighteen hours, when they have to be ready
  expect(Math.abs(then.likely!.chance - chance)).toBeLessThan(0.06);
  expect(then.collision).toBeNull();
  const saved = dayWith(made.value, after);
  const back = editDay(saved, { type: 'spare', batchId: 'knots', spareMin: null }, clockMs('10:00'));
  if (!back.ok) throw new Error(back.problem.code);
  expect(back.value.batches[0]).not.toHaveProperty('spareMin');
  expect(clockOf(laidOut(back.value, '10:00').batches[0]!.readyMs!)).toBe('18:00');
}); // prettier-ignore

test('what is sure enough, or is wanted as soon as it can be, is offered nothing', () => {
  const soon = laidOut({ batches: [dayBatch('knots', 'fried-knots', null)], lit: [] }, '10:00');
  expect(soon.batches[0]!.surer).toBeNull();
  const [, rolls] = laidOut(day, '10:00').batches;
  expect(rolls!.likely!.chance < 0.85).toBe(rolls!.surer !== null);
});
