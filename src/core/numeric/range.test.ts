import fc from 'fast-check';
import { normalAbove, normalDraws } from './draws';
import { quantile } from './quantile';
import { normalBelow } from './normal';
import { dominant, maybeRangeOf, rangeOf } from './range';

test('draws: every column is spread evenly over the normal distribution, the same each time', () => {
  const draws = normalDraws(24, 5, 7);
  expect(normalDraws(24, 5, 7)).toEqual(draws);
  expect(normalDraws(24, 5, 8)).not.toEqual(draws);
  for (let column = 0; column < 5; column += 1) {
    const slices = draws.map((row) => Math.floor(24 * normalBelow(row[column]!))).sort((a, b) => a - b);
    // one from each of 24 equally likely slices
    expect(slices).toEqual(Array.from({ length: 24 }, (_, index) => index));
    expect(draws.reduce((sum, row) => sum + row[column]!, 0)).toBeCloseTo(0, 6);
  }
  // columns do not go along with one another
  const along = draws.reduce((sum, [a, b]) => sum + a! * b!, 0) / 24;
  expect(Math.abs(along)).toBeLessThan(0.6);
});

test('the inverse of the normal distribution is its inverse', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), (p) => {
      expect(normalBelow(normalAbove(p))).toBeCloseTo(p, 6);
    }),
  );
  expect(normalAbove(0.9)).toBeCloseTo(1.2815515655, 8);
});

test('ranges hold their middle, lie within the draws, and say when something may never come', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 2, maxLength: 30 }),
      fc.double({ min: -60, max: 60, noNaN: true }),
      (drawn, value) => {
        const { low, high } = rangeOf(value, drawn);
        expect(low).toBeLessThanOrEqual(value);
        expect(high).toBeGreaterThanOrEqual(value);
        expect(low).toBeGreaterThanOrEqual(Math.min(value, ...drawn));
        expect(high).toBeLessThanOrEqual(Math.max(value, ...drawn));
      },
    ),
  );
  const times = [10, 11, 12, 13, 14, 15, 16, 17, null, null];
  expect(maybeRangeOf(13, times)).toMatchObject({ value: 13, high: null, chance: 0.8 });
  expect(maybeRangeOf(13, times).low).toBeCloseTo(10.9, 9);
  expect(maybeRangeOf(null, [null, null, null])).toEqual({ value: null, low: null, high: null, chance: 0 });
  expect(maybeRangeOf(12, [10, 11, 12, 13]).high).toBeCloseTo(12.7, 9);
  expect(quantile([Infinity, Infinity], 0.5)).toBe(Infinity);
});

test('what moves an outcome most is named', () => {
  const draws = normalDraws(24, 3, 3);
  const outcome = draws.map(([a, b, c]) => 5 + 0.1 * a! - 2 * b! + 0.5 * c!);
  expect(dominant(['one', 'two', 'three'], draws, outcome)).toBe('two');
});
