import fc from 'fast-check';
import { curvedFit, linearFit } from './leastSquares';

/** Two figures pulling at the same evidence: a + b = 3 and a - b / 2 = 0, with a bound on a. */
const fit = (max: number, slopesBy?: (x: readonly number[]) => number[]) =>
  curvedFit({
    misses: ([a, b]) => [10 * (a! + b! - 3), 10 * (a! - b! / 2)],
    ...(slopesBy && { slopesBy }),
    prior: [{ at: 0, sd: 10 }, { at: 0, sd: 10 }],
    steps: [0.01, 0.01],
    bounds: [{ min: -5, max, move: 5 }, { min: -5, max: 5, move: 5 }],
    rounds: 30,
    near: [1e-7, 1e-7],
  })!; // prettier-ignore

test('a figure at its bound is held there, and the others find the best there is beside it', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 0.9, noNaN: true }), (max) => {
      const { x, settled } = fit(max);
      // d/db of (a + b - 3)² + (a - b / 2)² = 0 at a = max
      const b = (3 - max + max / 2) / 1.25;
      expect(settled).toBe(true);
      expect(x[0]).toBeCloseTo(max, 6);
      expect(x[1]).toBeCloseTo(b, 3);
    }),
  );
  // room enough: the bound is nothing to it
  expect(fit(4).x[0]).toBeCloseTo(1, 2);
  expect(fit(4).x[1]).toBeCloseTo(2, 2);
});

test('slopes of a cheaper model lead to where the true one is best', () => {
  // a rough model: off by a constant and a tenth too steep
  const rough = ([a, b]: readonly number[]) => [11 * (a! + b! - 2.7), 11 * (a! - b! / 2 + 0.2)];
  const { x } = fit(4, rough);
  expect(x[0]).toBeCloseTo(1, 2);
  expect(x[1]).toBeCloseTo(2, 2);
});

test('evidence of whatever weight is weighed, and makes no figure less sure than it was believed', () => {
  const any = fc.double({ min: -7, max: 7, noNaN: true });
  const sd = fc.double({ min: 0.01, max: 9, noNaN: true });
  fc.assert(
    fc.property(fc.array(fc.tuple(any, any, any, sd), { maxLength: 8 }), sd, sd, (evidence, a, b) => {
      const rows = evidence.map(([left, x, y, of]) => ({ left, by: [x, y, x * y], sd: of }));
      const { x, covariance } = linearFit(rows, [{ at: 0, sd: a }, { at: 1, sd: b }, { at: 0, sd: 1 }]);
      expect(x.every(Number.isFinite)).toBe(true);
      for (const [i, believed] of [a, b, 1].entries())
        expect(covariance[i]![i]!).toBeLessThanOrEqual(believed ** 2 * (1 + 1e-6));
    }),
  ); // prettier-ignore
  // two readings of one sum, 10 ± 1 and 10 ± 1, against 0 ± 1 of each part: four go to each (Gelman et al., ch. 14)
  const twice = [10, 10].map((left) => ({ left, by: [1, 1], sd: 1 }));
  expect(linearFit(twice, [{ at: 0, sd: 1 }, { at: 0, sd: 1 }]).x).toEqual([expect.closeTo(4, 9), expect.closeTo(4, 9)]); // prettier-ignore
});
