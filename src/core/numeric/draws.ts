import { seededRandom } from '../numeric/seededRandom';

/**
 * A fixed set of standard normal draws for a model's parameters: Latin hypercube in each column (one draw from each of `count`
 * equally likely slices), shuffled by a fixed seed. Spreads evenly with far fewer runs than plain sampling, and is the same on
 * every machine.
 *
 * @param count draws, at least 4
 * @param columns parameters
 * @returns count rows of `columns` standard normal values; each column's mean is 0 to rounding of the slices
 */
export function normalDraws(count: number, columns: number, seed: number): number[][] {
  const random = seededRandom(seed);
  const rows: number[][] = Array.from({ length: count }, () => new Array<number>(columns).fill(0));
  for (let column = 0; column < columns; column += 1) {
    const order = Array.from({ length: count }, (_, index) => index);
    for (let last = count - 1; last > 0; last -= 1) {
      const other = Math.floor(random() * (last + 1));
      [order[last], order[other]] = [order[other]!, order[last]!];
    }
    for (let row = 0; row < count; row += 1) rows[row]![column] = normalAbove((order[row]! + 0.5) / count);
  }
  return rows;
}

/** Inverse of the cumulative normal distribution (Acklam 2003; relative error below 1.2e-9), p in (0, 1). */
export function normalAbove(p: number): number {
  const a = [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
    2.506628277459239,
  ];
  const b = [
    -54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572,
  ];
  const c = [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ];
  const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
  const horner = (terms: readonly number[], x: number) => terms.reduce((sum, term) => sum * x + term, 0);
  if (p < 0.02425) {
    const q = Math.sqrt(-2 * Math.log(p));
    return horner(c, q) / (horner(d, q) * q + 1);
  }
  if (p > 1 - 0.02425) return -normalAbove(1 - p);
  const q = p - 0.5;
  const r = q * q;
  return (horner(a, r) * q) / (horner(b, r) * r + 1);
}
