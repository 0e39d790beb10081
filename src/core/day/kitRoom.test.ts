import { DEMO, dayBatch, demoFormula, clockMs } from '../../../tests/kitchenDays';
import type { Kit } from '../kit';
import { checkPlan } from './checkPlan';
import { dayOf, type Day } from './dayOf';
import { batchWays } from './kitchenDay';
import { usualRequest } from './usualRequest';
import { searchDay } from './searchDay';

const at = (clock: string) => clockMs(clock);

/** Batches of demo formulas that are all to be ready at one time, in a kitchen with somebody always there. */
function dayWith(kit: Kit, keys: readonly string[], ready: string): Day {
  const made = dayOf({
    fromMs: at('04:00'), endMs: at('23:00'), slotMin: 5, kit, hands: [{ fromMs: at('04:00'), toMs: at('23:00'), people: 4 }],
    batches: keys.map((key, index) => {
      const formula = demoFormula(key);
      const ways = batchWays(formula, { batch: usualRequest(formula), levers: [] }, { ...DEMO, kit });
      if (!ways.ok) throw new Error(ways.problem.code);
      return { id: `${key} ${index}`, formula, ways: ways.value, ready: { fromMs: at(ready), toMs: at(ready) } };
    }),
  });
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
} // prettier-ignore

const planned = (day: Day) => {
  const search = searchDay(day.problem, 1, 30);
  let found = search.next();
  while (!found.done) found = search.next();
  expect(checkPlan(day.problem, found.value.plan)).toEqual([]);
  return found.value;
};
const activities = (day: Day) =>
  day.problem.batches.flatMap(({ variants }) => variants[0]!.strands.flatMap((strand) => strand.activities));
const usesOf = (day: Day, kind: string) =>
  activities(day).flatMap(({ id, uses }) =>
    [...day.blocks].some(([key, block]) => key.endsWith(` ${id}`) && block.kind === kind) ? [uses] : [],
  );
const BARE: Kit = {
  ...DEMO.kit,
  vessels: [],
  places: [],
  tins: [],
  mixer: { ...DEMO.kit.mixer, kind: 'hand' },
};
const place = (kind: Kit['places'][number]['kind'], lengthCm: number, widthCm: number, shelves = 1) => ({
  id: kind, name: kind, kind, tempC: null, humidityPercent: null, lengthCm, widthCm, shelves,
}); // prettier-ignore
const tins = (count: number): Kit['tins'] => DEMO.kit.tins.map((tin) => ({ ...tin, count }));

test('room is shared out as it was measured: a rack by what lies on it, unmeasured without limit; one mixer where none is listed, two where two are', () => {
  const resource = (kit: Kit, id: string) => dayWith(kit, ['supper-rolls'], '19:00').problem.resources.find((each) => each.id === id)?.capacity;
  expect(resource(BARE, 'rack')).toBe(30_000);
  expect(resource({ ...BARE, places: [place('rack', 45, 35)] }, 'rack')).toBe(1000);
  expect(resource(BARE, 'mixer')).toBe(1);
  const mixer = { name: 'Mixer', kind: 'mixer' as const, litres: 5, acrossCm: null, mostDoughG: null };
  expect(resource({ ...BARE, vessels: [{ id: 'a', ...mixer }, { id: 'b', ...mixer }] }, 'mixer')).toBe(2);
  expect(resource({ ...BARE, vessels: [{ id: 'a', ...mixer, kind: 'bowl' }] }, 'bowl')).toBeUndefined();
  const share = (lengthCm: number) => usesOf(dayWith({ ...BARE, places: [place('rack', lengthCm, 35)] }, ['supper-rolls'], '19:00'), 'cool')[0]!.find(({ resourceId }) => resourceId === 'rack')!.amount;
  // a load of six, 7.1 cm across, touching: thirty lie on the short one, sixty on the long one, staggered
  expect([90, 45].map(share)).toEqual([100, 200]);
  // where not even one fits it is all of it
  expect(share(6)).toBe(1000);
}); // prettier-ignore

test('what cools needs room: with a small rack two batches cool one after the other, with a large one side by side', () => {
  const coolings = (kit: Kit) => {
    const day = dayWith(kit, ['supper-rolls', 'supper-rolls'], '19:00');
    const { plan } = planned(day);
    return Object.entries(plan.batches).map(([id, placed]) => {
      const [cool] = activities(day).filter((activity) => activity.uses.some(({ resourceId }) => resourceId === 'rack'));
      expect(id).toContain('supper-rolls');
      return [placed.at[cool!.id]!.startSlot, placed.at[cool!.id]!.startSlot + cool!.lastsSlots] as const;
    });
  };
  const apart = ([a, b]: ReturnType<typeof coolings>) => a![1] <= b![0] || b![1] <= a![0];
  expect(apart(coolings({ ...BARE, places: [place('rack', 30, 30)] }))).toBe(true);
  expect(apart(coolings({ ...BARE, places: [place('rack', 110, 90, 4)] }))).toBe(false);
}); // prettier-ignore

test('dough is in its tin from shaping till it is baked: with tins for one batch the second waits for them', () => {
  const count = dayBatch('x', 'millet-tin', null).batch.mode === 'pieces' ? (dayBatch('x', 'millet-tin', null).batch as { pieces: number }).pieces : 1;
  const held = (kit: Kit) => {
    const day = dayWith(kit, ['millet-tin', 'millet-tin'], '20:00');
    const inTin = activities(day).filter(({ uses }) => uses.some(({ resourceId }) => resourceId.startsWith('tin ')));
    const { plan } = planned(day);
    return Object.values(plan.batches).map(({ at: placed }) => {
      const mine = inTin.map(({ id, lastsSlots }) => [placed[id]!.startSlot, placed[id]!.startSlot + lastsSlots] as const);
      return [Math.min(...mine.map(([from]) => from)), Math.max(...mine.map(([, to]) => to))] as const;
    });
  };
  const kinds = usesOf(dayWith({ ...BARE, tins: tins(count) }, ['millet-tin'], '20:00'), 'bake');
  expect(kinds[0]!.find(({ resourceId }) => resourceId.startsWith('tin '))?.amount).toBe(count);
  expect(usesOf(dayWith({ ...BARE, tins: tins(count) }, ['millet-tin'], '20:00'), 'cool')[0]!.some(({ resourceId }) => resourceId.startsWith('tin '))).toBe(false);
  const [a, b] = held({ ...BARE, tins: tins(count) });
  expect(a![1] <= b![0] || b![1] <= a![0]).toBe(true);
  const [c, d] = held({ ...BARE, tins: tins(2 * count) });
  expect(c![1] <= d![0] || d![1] <= c![0]).toBe(false);
}); // prettier-ignore
