import fc from 'fast-check';
import { plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import {
  airPressurePa,
  boilingPointC,
  doughTemperatureFor,
  specificHeatJPerGK,
  waterTemperatureFor,
  type MixingDay,
} from '.';

const day: MixingDay = {
  roomC: 20,
  fridgeC: null,
  wantedC: 26,
  bowlG: 800,
  mixing: 'hand',
  mixMin: 5,
  altitudeM: 0,
  tapC: 12,
};
const water = (part: Partial<MixingDay> = {}) => {
  const solved = waterTemperatureFor(plainLoaf(), libraryBook, { ...day, ...part });
  if (!solved.ok) throw new Error(JSON.stringify(solved.problem));
  return solved.value;
};

test('specific heats and boiling points agree with the tables', () => {
  const of = (id: string) => specificHeatJPerGK(libraryBook.get(id)!.per100g, 20);
  expect(of('water')).toBeCloseTo(4.177, 2);
  expect(of('olive-oil')).toBeCloseTo(2.01, 1);
  expect(of('white-rice-flour')).toBeGreaterThan(1.7);
  expect(of('white-rice-flour')).toBeLessThan(2.1);
  expect(boilingPointC(0)).toBeCloseTo(100, 1);
  // published tables: 95.0 °C at 1,500 m, 93.9 at 1,800 m, 90.0 at 3,000 m
  expect(boilingPointC(1500)).toBeCloseTo(95, 0);
  expect(Math.abs(boilingPointC(1800) - 94)).toBeLessThan(0.3);
  expect(Math.abs(boilingPointC(3000) - 90)).toBeLessThan(0.4);
  expect(airPressurePa(1800)).toBeCloseTo(81_489, -2);
});

test('the water’s temperature balances the heat: by hand, and in every kitchen', () => {
  const solved = water({ bowlG: 0, mixMin: 0 });
  expect(solved.doughC).toBeCloseTo(26, 9);
  expect(solved.waterC).toBeGreaterThan(26);
  expect(solved.waterC).toBeLessThan(34);
  fc.assert(
    fc.property(
      fc.record({
        roomC: fc.double({ min: 0, max: 35, noNaN: true }),
        wantedC: fc.double({ min: 18, max: 34, noNaN: true }),
        bowlG: fc.double({ min: 0, max: 3000, noNaN: true }),
        mixMin: fc.double({ min: 0, max: 15, noNaN: true }),
        mixing: fc.constantFrom('hand' as const, 'machine' as const),
      }),
      (part) => {
        const one = water(part);
        // wherever the water could be what it should be, the dough is
        if (one.warnings.length === 0 || one.warnings.every((w) => w === 'needsIce' || w.startsWith('yeast')))
          expect(one.doughC).toBeCloseTo(part.wantedC, 6);
        expect(one.lowC).toBeLessThanOrEqual(one.waterC);
        expect(one.highC).toBeGreaterThanOrEqual(one.waterC);
        // a colder kitchen never asks for colder water
        expect(water({ ...part, roomC: part.roomC - 1 }).waterC).toBeGreaterThanOrEqual(one.waterC - 1e-9);
      },
    ),
    { numRuns: 100 },
  );
});

test('where yeast or physics set the limit, it says so', () => {
  expect(water({ roomC: 5, wantedC: 34 }).warnings).toContain('yeastHurt');
  expect(water({ roomC: -2, wantedC: 40 }).warnings).toContain('yeastDead');
  const iced = water({ roomC: 35, wantedC: 22, mixing: 'machine', mixMin: 10 });
  expect(iced.warnings).toEqual(['needsIce']);
  expect(iced.iceG).toBeGreaterThan(10);
  expect(iced.doughC).toBeCloseTo(22, 6);
  expect(water({ roomC: 45, wantedC: 5, mixMin: 60, mixing: 'machine' }).warnings).toContain('tooMuchIce');
  const field = (part: Partial<MixingDay>) => {
    const solved = waterTemperatureFor(plainLoaf(), libraryBook, { ...day, ...part });
    return solved.ok ? null : [solved.problem.code, solved.problem.path];
  };
  expect(field({ roomC: 90 })).toEqual(['tooLarge', 'roomC']);
  expect(field({ fridgeC: 40 })).toEqual(['tooLarge', 'fridgeC']);
  expect(field({ wantedC: Number.NaN })).toEqual(['notANumber', 'wantedC']);
  const dry = { ...plainLoaf(), stages: [{ ...plainLoaf().stages[0]!, lines: [] }] };
  expect(waterTemperatureFor(dry, libraryBook, day)).toMatchObject({
    ok: false,
    problem: { code: 'required', path: 'water' },
  });
});

test('milk in the place of water carries the warmth; with water beside it the water does', () => {
  const pouring = (from: string, to: string) => ({
    ...plainLoaf(),
    stages: plainLoaf().stages.map((stage) => ({
      ...stage,
      lines: stage.lines.map((line) => (line.ingredientId === from ? { ...line, ingredientId: to } : line)),
    })),
  });
  const solve = (to: string, part: Partial<MixingDay> = {}) => {
    const solved = waterTemperatureFor(pouring('water', to), libraryBook, { ...day, ...part });
    if (!solved.ok) throw new Error(solved.problem.path);
    return solved.value;
  };
  const [water400, drink] = [solve('water'), solve('rice-drink')];
  expect(drink.pouredIds).toEqual(['rice-drink']);
  expect(drink.waterG).toBe(water400.waterG);
  // a drink holds a little less heat a gram: it has to be a little warmer
  expect(drink.waterC).toBeGreaterThan(water400.waterC);
  expect(drink.waterC).toBeLessThan(water400.waterC + 2);
  expect(solve('oat-drink-certified', { roomC: 42, wantedC: 18 })).toMatchObject({
    iceG: 0,
    warnings: ['tooCold'],
  });
});

test('“mine is 44 °C: what then?” is the same balance read backwards', () => {
  const forward = water();
  const back = doughTemperatureFor(plainLoaf(), libraryBook, day, forward.waterC);
  expect(back.ok && back.value.doughC).toBeCloseTo(day.wantedC, 9);
  const at = (pouredC: number, part: Partial<MixingDay> = {}) => {
    const made = doughTemperatureFor(plainLoaf(), libraryBook, { ...day, ...part }, pouredC);
    if (!made.ok) throw new Error(made.problem.code);
    return made.value;
  };
  expect(at(44, { roomC: 21 }).doughC).toBeGreaterThan(33);
  expect(at(44, { roomC: 21 }).doughC).toBeLessThan(36.5);
  // what is wanted has no say in what comes
  expect(at(44, { wantedC: 20 }).doughC).toBeCloseTo(at(44, { wantedC: 32 }).doughC, 1);
  expect([at(44).warnings, at(52).warnings, at(70).warnings]).toEqual([[], ['yeastHurt'], ['yeastDead']]);
  const { lowC, doughC, highC } = at(44);
  expect(highC - doughC).toBeGreaterThan(0.5);
  expect(doughC - lowC).toBeCloseTo(highC - doughC, 9);
  expect(doughTemperatureFor(plainLoaf(), libraryBook, day, 130)).toMatchObject({
    problem: { code: 'tooLarge', path: 'pouredC' },
  });
});

test('a mixer that was measured counts with its own warmth, more surely', () => {
  const machine = water({ mixing: 'machine', mixMin: 10 });
  const hot = water({ mixing: 'machine', mixMin: 10, frictionCPerMin: 0.8 });
  expect(hot.waterC).toBeLessThan(machine.waterC - 3);
  const same = water({ mixing: 'machine', mixMin: 10, frictionCPerMin: 0.25 });
  expect(same.waterC).toBeCloseTo(machine.waterC, 9);
  expect(same.highC - same.lowC).toBeLessThan(machine.highC - machine.lowC);
});

test('an egg from the fridge asks for warmer water', () => {
  expect(water({ fridgeC: 4 }).waterC).toBeGreaterThan(water().waterC);
});
