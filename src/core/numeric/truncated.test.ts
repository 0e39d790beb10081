import fc from 'fast-check';
import { truncatedNormal } from './truncated';

/** The same by Simpson's rule over where the density is. */
function summed(mean: number, sd: number, low: number, high: number) {
  const from = Math.max(low, mean - 9 * sd);
  const to = Math.min(high, mean + 9 * sd);
  const n = 4000;
  let [weight, first, second] = [0, 0, 0];
  for (let i = 0; i <= n; i += 1) {
    const x = from + ((to - from) * i) / n;
    const w = (i === 0 || i === n ? 1 : i % 2 === 1 ? 4 : 2) * Math.exp(-(((x - mean) / sd) ** 2) / 2);
    weight += w;
    first += w * x;
    second += w * x * x;
  }
  const middle = first / weight;
  return { mean: middle, variance: second / weight - middle * middle };
}

test('agrees with the sum over the density, for ends on either side and for open ones', () => {
  const end = fc.double({ min: -2.5, max: 2.5, noNaN: true });
  fc.assert(
    fc.property(
      fc.double({ min: -3, max: 3, noNaN: true }),
      fc.double({ min: 0.05, max: 4, noNaN: true }),
      end,
      fc.double({ min: 0.4, max: 3, noNaN: true }),
      fc.constantFrom('both', 'low', 'high', 'none'),
      (mean, sd, at, width, kept) => {
        const low = kept === 'both' || kept === 'low' ? mean + sd * at : -Infinity;
        const high = kept === 'both' || kept === 'high' ? mean + sd * (at + width) : Infinity;
        const made = truncatedNormal(mean, sd, low, high);
        const truth = summed(mean, sd, low, high);
        expect(Math.abs(made.mean - truth.mean)).toBeLessThan(2e-3 * sd);
        expect(Math.abs(made.variance - truth.variance)).toBeLessThan(6e-3 * sd * sd);
      },
    ),
    { numRuns: 300 },
  );
});

test('knowing nothing changes nothing; what can hardly be lies at the nearer end', () => {
  expect(truncatedNormal(2, 0.5, -Infinity, Infinity)).toEqual({ mean: 2, variance: 0.25 });
  expect(truncatedNormal(0, 1, 8, 9)).toEqual({ mean: 8, variance: 0.010000000000000002 });
  expect(truncatedNormal(0, 1, -Infinity, -7).mean).toBe(-7);
});
