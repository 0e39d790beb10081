import { DEMO, clockMs, clockOf, demoFormula } from '../../../tests/kitchenDays';
import type { Formula } from '../formula';
import { checkPlan } from './checkPlan';
import { dayOf, lightings, type Day } from './dayOf';
import { batchWays } from './kitchenDay';
import { peopleBySlot } from './dayProblem';
import { outBlockId } from './ovenProof';
import { ovenTrace } from './ovenTrace';
import { litFor, ovenVisits } from './ovenVisits';
import { searchDay } from './searchDay';
import { usualRequest } from './usualRequest';

const KIT = { ...DEMO.kit, ovens: DEMO.kit.ovens.slice(0, 1), ovenId: DEMO.kit.ovens[0]!.id };
/** The rolls, risen in the oven with its light on. */
const lamp = (formula: Formula): Formula => ({
  ...formula,
  steps: formula.steps.map((step) =>
    step.kind === 'proof' ? { ...step, stands: { place: 'ovenLight' as const } } : step,
  ),
});

function dayWith(batches: readonly { id: string; formula: Formula; ready: string }[]): Day {
  const made = dayOf({
    fromMs: clockMs('06:00'), endMs: clockMs('23:00'), slotMin: 5, kit: KIT, hands: [{ fromMs: clockMs('06:00'), toMs: clockMs('23:00'), people: 4 }],
    batches: batches.map(({ id, formula, ready }) => {
      const ways = batchWays(formula, { batch: usualRequest(formula), levers: [] }, { ...DEMO, kit: KIT });
      if (!ways.ok) throw new Error(ways.problem.code);
      return { id, formula, ways: ways.value, ready: { fromMs: clockMs(ready), toMs: clockMs(ready) } };
    }),
  });
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
} // prettier-ignore

function planned(day: Day) {
  const search = searchDay(day.problem, 1, 30);
  let found = search.next();
  while (!found.done) found = search.next();
  expect(checkPlan(day.problem, found.value.plan)).toEqual([]);
  return found.value;
}
const spanOf = (day: Day, { plan }: ReturnType<typeof planned>, batchId: string, blockId: string): readonly [string, string] => {
  const placed = plan.batches[batchId]!;
  const activity = day.problem.batches.find(({ id }) => id === batchId)!.variants[0]!.strands.flatMap(({ activities }) => activities).find(({ id }) => id === blockId)!;
  const { startSlot } = placed.at[blockId]!;
  return [clockOf(day.fromMs + startSlot * day.slotMs), clockOf(day.fromMs + (startSlot + activity.lastsSlots) * day.slotMs)];
}; // prettier-ignore
const idOf = (day: Day, batchId: string, kind: string, at = 0): string =>
  day.problem.batches.find(({ id }) => id === batchId)!.variants[0]!.strands.flatMap(({ activities }) => activities)
    .filter(({ id }) => [...day.blocks].some(([key, block]) => key === `${batchId} as written ${id}` && block.kind === kind))[at]!.id; // prettier-ignore

test('what rises in the oven comes out of it in time for it to heat, and goes on rising beside it', () => {
  const rolls = lamp(demoFormula('supper-rolls'));
  const day = dayWith([{ id: 'rolls', formula: rolls, ready: '19:00' }]);
  const found = planned(day);
  const proof = idOf(day, 'rolls', 'proof');
  const within = spanOf(day, found, 'rolls', proof);
  const beside = spanOf(day, found, 'rolls', outBlockId(proof));
  const bake = spanOf(day, found, 'rolls', idOf(day, 'rolls', 'bake'));
  expect(found.score).toMatchObject({ unplaced: 0, late: 0, old: 0 });
  // out of it, and lit in that moment: hot when the rolls go in, risen as long as they were to
  expect(beside[0]).toBe(within[1]);
  expect(bake[0] >= beside[1]).toBe(true);
  const [warm, fire, ...more] = lightings(day, found.plan);
  expect(more).toEqual([]);
  expect(warm!.setC).toBeLessThanOrEqual(30);
  // the lamp is no fire: lit when the rolls are out, and hot by the time they go in
  expect(fire!.setC).toBe(205);
  expect(clockOf(fire!.atMs) >= within[1] && clockOf(fire!.atMs) < bake[0]).toBe(true);
  const [oven] = day.problem.ovens;
  const points = ovenTrace(oven!, ovenVisits(day.problem, found.plan, oven!.id), litFor(oven!, ovenVisits(day.problem, found.plan, oven!.id), peopleBySlot(day.problem)), KIT.roomC, day.problem.slots);
  expect(points.every(({ slot }, at) => at === 0 || slot >= points[at - 1]!.slot - 1e-9)).toBe(true);
  const heatOf = (clock: string) => points.find(({ slot }) => clockOf(day.fromMs + slot * day.slotMs) === clock)?.tempC;
  expect([heatOf(within[1]), heatOf(bake[0])]).toEqual([warm!.setC, 205]);
  const plain = dayWith([{ id: 'rolls', formula: demoFormula('supper-rolls'), ready: '19:00' }]);
  const whole = plain.problem.batches[0]!.variants[0]!.strands.flatMap(({ activities }) => activities).find(({ id }) => id === proof)!;
  const parts = day.problem.batches[0]!.variants[0]!.strands.flatMap(({ activities }) => activities).filter(({ id }) => id === proof || id === outBlockId(proof));
  expect(parts.reduce((sum, { lastsSlots }) => sum + lastsSlots, 0)).toBe(whole.lastsSlots);
  expect(parts.map(({ heat, mostSlots }) => [heat !== null, mostSlots === 0])).toEqual([[true, false], [false, true]]);
}); // prettier-ignore

test('a dough that rises in the oven is in the way of every bake: one of the two gives way, and nothing is put beside it hot', () => {
  const day = dayWith([
    { id: 'rolls', formula: lamp(demoFormula('supper-rolls')), ready: '19:00' },
    { id: 'tray', formula: demoFormula('blue-jar-tray'), ready: '18:30' },
  ]);
  const found = planned(day);
  const within = spanOf(day, found, 'rolls', idOf(day, 'rolls', 'proof'));
  const bake = spanOf(day, found, 'tray', idOf(day, 'tray', 'bake'));
  expect(bake[1] <= within[0] || bake[0] >= within[1]).toBe(true);
  // in a kitchen where it rises in the room both are on time
  const free = planned(dayWith([{ id: 'rolls', formula: demoFormula('supper-rolls'), ready: '19:00' }, { id: 'tray', formula: demoFormula('blue-jar-tray'), ready: '18:30' }]));
  expect(free.score.late).toBe(0);
  expect(found.score.late + found.score.old).toBeGreaterThan(free.score.late + free.score.old);
}); // prettier-ignore
