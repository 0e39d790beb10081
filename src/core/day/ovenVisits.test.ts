import type { Plate } from '../heat/parameters';
import { ovenTrace } from './ovenTrace';
import { litFor, type OvenVisit } from './ovenVisits';
import { testOven } from './testDays';

// four slots from cold to 220 °C, seven with a stone
const oven = testOven('oven');
const visit = (startSlot: number, endSlot: number, setC = 220, plate: Plate | null = null): OvenVisit => ({
  startSlot,
  endSlot,
  heat: { setC, endC: setC, plate },
});
const there = (from: number, to: number): Int16Array =>
  Int16Array.from({ length: 100 }, (_, slot) => (slot >= from && slot < to ? 0 : 1));
const lit = (visits: readonly OvenVisit[], people = there(0, 0), on?: number) =>
  litFor(oven, visits, people, on).map(({ litSlot }) => litSlot);

test('an oven is lit for its first load, and again where it has been off meanwhile', () => {
  expect(lit([visit(20, 25)])).toEqual([16]);
  expect(lit([visit(20, 25, 220, 'stone')])).toEqual([13]);
  // five slots apart it is kept hot: to be off and on again takes four and one for the door
  expect(lit([visit(20, 25), visit(30, 35)])).toEqual([16]);
  expect(lit([visit(20, 25), visit(31, 35)])).toEqual([16, 27]);
  // two at once, the second longer: from its end on
  expect(lit([visit(20, 25), visit(22, 50), visit(54, 60)])).toEqual([16]);
  // it is on already
  expect(lit([visit(20, 25)], there(0, 0), 3)).toEqual([3]);
  expect(lit([visit(20, 25, 320)])).toEqual([]);
});

test('nobody there to light it: lit before he leaves, or left on', () => {
  expect(lit([visit(20, 25), visit(60, 65)], there(40, 58))).toEqual([16, 39]);
  expect(lit([visit(20, 25), visit(60, 65)], there(24, 58))).toEqual([16]);
});

test('its heat as it moves: up in time, held, down, cold between, and never hotter than asked', () => {
  const visits = [visit(20, 25), visit(30, 35, 250), visit(40, 45, 180), visit(80, 85)];
  const points = ovenTrace(oven, visits, litFor(oven, visits, there(0, 0)), 20, 100);
  const at = (slot: number) => points.findLast((each) => each.slot === slot)?.tempC;
  expect([at(16), at(20), at(25), at(30), at(35), at(40), at(45), at(80), at(85)]).toEqual([20, 220, 220, 250, 250, 180, 180, 220, 220]);
  expect(points.map(({ slot }) => slot)).toEqual(points.map(({ slot }) => slot).toSorted((a, b) => a - b));
  expect(Math.max(...points.map(({ tempC }) => tempC))).toBe(250);
  // off after a quarter to eight: cooler and cooler until it is lit again
  const off = points.filter(({ slot }) => slot >= 45 && slot <= 76).map(({ tempC }) => tempC);
  expect(off).toEqual(off.toSorted((a, b) => b - a));
  expect(off.at(-1)).toBeLessThan(120);
}); // prettier-ignore
