import { normalBelow } from './normal';

const density = (z: number): number => Math.exp(-(z * z) / 2) / Math.sqrt(2 * Math.PI);

/**
 * Mean and variance of a normal quantity of which only is known that it lies between two ends (either may be infinite): Johnson, Kotz &
 * Balakrishnan, Continuous Univariate Distributions 1, ch. 13. So far in a tail that next to nothing lies between the ends, it is
 * taken to lie at the nearer one.
 */
export function truncatedNormal(
  mean: number,
  sd: number,
  low: number,
  high: number,
): { readonly mean: number; readonly variance: number } {
  const a = (low - mean) / sd;
  const b = (high - mean) / sd;
  const inside = normalBelow(b) - normalBelow(a);
  if (!(inside > 1e-4)) {
    const end = Math.abs(a) < Math.abs(b) ? low : high;
    return { mean: end, variance: (0.1 * sd) ** 2 };
  }
  const at = (z: number) => (Number.isFinite(z) ? density(z) : 0);
  const times = (z: number) => (Number.isFinite(z) ? z * density(z) : 0);
  const shift = (at(a) - at(b)) / inside;
  return {
    mean: mean + sd * shift,
    variance: sd * sd * Math.max(1e-3, 1 + (times(a) - times(b)) / inside - shift * shift),
  };
}
