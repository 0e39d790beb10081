import fc from 'fast-check';
import * as z from 'zod';
import { consistencyOf } from './consistency';
import { waterTemperatureFor } from './doughTemperature';
import { boilingPointC } from './doughTemperature/boilingPoint';
import { formulaTotals } from './formula';
import { plainLoaf } from './formula/testFormulas';
import { fitOffset } from './heat';
import { libraryBook } from './ingredients';
import { methodTime, newStep, STEP_KINDS, stepTempRangeC } from './method';
import { methodStepSchema } from './method/stepSchema';
import { compensatedSum } from './numeric/compensatedSum';
import { plainText } from './plainTextSchema';
import { readAs } from './readAs';
import { fillVessel } from './vessel';

test('a compensated sum does not care for the order, and keeps what a plain loop loses', () => {
  expect(compensatedSum([1e16, 1, -1e16])).toBe(1);
  expect(compensatedSum([])).toBe(0);
  fc.assert(
    fc.property(fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { maxLength: 60 }), (terms) => {
      const forwards = compensatedSum(terms);
      const backwards = compensatedSum([...terms].reverse());
      expect(Math.abs(forwards - backwards)).toBeLessThanOrEqual(1e-9);
    }),
  );
});

test('a method adds up; preheating runs beside it, and what has no time is counted, not guessed', () => {
  const step = (kind: (typeof STEP_KINDS)[number], minS: number | null, maxS: number | null = null) => ({
    ...newStep(kind, kind),
    minS,
    maxS,
  });
  expect(
    methodTime([
      step('mix', 300),
      step('proof', 3600, 5400),
      step('preheat', 1800),
      step('score', null),
      step('bake', 1200),
    ]),
  ).toEqual({
    minS: 5100,
    maxS: 6900,
    handsOnS: 300,
    untimed: 1,
  });
});

test('every new step is one that can be saved, and its warm range lies within the widest', () => {
  for (const kind of STEP_KINDS) {
    expect(methodStepSchema.safeParse(newStep(kind, 'x')).success).toBe(true);
    const { min, max } = stepTempRangeC(kind);
    expect(min).toBeLessThan(max);
    const tooHot = readAs(methodStepSchema, { ...newStep(kind, 'x'), tempC: 5000 });
    expect(tooHot).toMatchObject({ ok: false, problem: { code: 'tooLarge', path: 'tempC' } });
    expect(methodStepSchema.safeParse({ ...newStep(kind, 'x'), tempC: max }).success).toBe(true);
    expect(methodStepSchema.safeParse({ ...newStep(kind, 'x'), tempC: max + 1 }).success).toBe(false);
  }
});

test('a schema’s complaint becomes a problem of ours, with its path and limit', () => {
  const schema = z.strictObject({
    name: plainText(5).min(1),
    count: z.number().int().max(3),
    list: z.array(z.number()).max(1),
    kind: z.enum(['a', 'b']),
  });
  const good = { name: 'ok', count: 1, list: [], kind: 'a' };
  const refusal = (part: object) => {
    const read = readAs(schema, { ...good, ...part });
    return read.ok ? 'ok' : read.problem;
  };
  expect(refusal({})).toBe('ok');
  expect(refusal({ name: 'too long' })).toEqual({ code: 'tooLong', path: 'name', params: { max: 5 } });
  expect(refusal({ name: '' })).toMatchObject({ code: 'required', path: 'name' });
  expect(refusal({ name: 'a\u0000' })).toMatchObject({ code: 'control', path: 'name' });
  expect(refusal({ name: undefined })).toEqual({ code: 'required', path: 'name' });
  expect(refusal({ count: '3' })).toEqual({ code: 'notANumber', path: 'count' });
  expect(refusal({ count: 1.5 })).toMatchObject({ code: 'notWhole', path: 'count' });
  expect(refusal({ count: 9 })).toEqual({ code: 'tooLarge', path: 'count', params: { max: 3 } });
  expect(refusal({ list: [1, 2] })).toEqual({ code: 'tooMany', path: 'list', params: { max: 1 } });
  expect(refusal({ list: ['x'] })).toMatchObject({ path: 'list.0' });
  expect(refusal({ kind: 'c' })).toEqual({ code: 'notAllowed', path: 'kind' });
  expect(refusal({ extra: 1 })).toEqual({ code: 'notAllowed', path: '' });
});

test('the worked figures of the docstrings', () => {
  const loaf = plainLoaf();
  const totals = formulaTotals(loaf, libraryBook);
  expect(totals.hydrationAll).toBeCloseTo(87.6, 1);
  const feel = consistencyOf(loaf, libraryBook, totals)!;
  expect([Math.round(feel.balance.demandG), feel.now.band, feel.rested.band]).toEqual([
    516,
    'sticky',
    'soft',
  ]);
  const day = {
    roomC: 20, fridgeC: 5, wantedC: 26, bowlG: 800, mixing: 'hand' as const, frictionCPerMin: null, mixMin: 6, altitudeM: 0, tapC: 12,
  }; // prettier-ignore
  const water = waterTemperatureFor(loaf, libraryBook, day);
  expect(water.ok && [water.value.waterC, water.value.lowC, water.value.highC].map(Math.round)).toEqual([
    29, 26, 32,
  ]);
  const tin = {
    kind: 'tin',
    topLengthCm: 24,
    topWidthCm: 12,
    baseLengthCm: 22,
    baseWidthCm: 10,
    heightCm: 8,
  } as const;
  const filled = fillVessel(tin, { densityGPerMl: 1.1, rise: { value: 2, low: 1.7, high: 2.3 } });
  expect(filled.ok && [filled.value.volumeMl, filled.value.massG, filled.value.lowG, filled.value.highG].map(Math.round)).toEqual([2027, 1186, 1031, 1395]); // prettier-ignore
  const off = fitOffset([{ dialC: 200, trueC: 190 }]);
  expect(off.ok && [off.value.at200C, off.value.sdAt200C]).toEqual([
    expect.closeTo(-8.35, 2),
    expect.closeTo(3.66, 2),
  ]);
  expect(boilingPointC(1500)).toBeCloseTo(95, 0);
});
