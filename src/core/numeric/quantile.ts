import { quantileSorted } from 'd3-array';

const rising = (values: readonly number[]): number[] => [...values].sort((a, b) => a - b);

/**
 * The value below which a share of the sorted draws lies, linear between them (Hyndman & Fan 1996, type 7).
 * Draws may be infinite: between two that are alike there is nothing to interpolate. `quantile([1, 2, 4], 0.75)` is 3.
 *
 * @param sorted rising, at least one
 * @param share from 0 to 1
 */
export function quantile(sorted: readonly number[], share: number): number {
  const at = share * (sorted.length - 1);
  const from = sorted[Math.floor(at)];
  if (from !== undefined && from === sorted[Math.ceil(at)]) return from;
  return quantileSorted(sorted as number[], share) ?? Number.NaN;
}

/** {@link quantile} of draws in any order. */
export const quantileOf = (values: readonly number[], share: number): number =>
  quantile(rising(values), share);

/** The 80 % interval of draws in any order: a tenth lies below it, a tenth above. */
export function middleOf(values: readonly number[]): { readonly low: number; readonly high: number } {
  const sorted = rising(values);
  return { low: quantile(sorted, 0.1), high: quantile(sorted, 0.9) };
}
