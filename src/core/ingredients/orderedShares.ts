import { seededRandom } from '../numeric/seededRandom';

const DRAWS = 6000;
const WARM_UP = 2000;
/** Neighbouring steps of the walk say nearly the same: every fourth is enough. */
const EVERY = 4;

/** A point of the ordered simplex as a mixture of its corners: the first j of the list in equal parts, j = 1 ... n. */
function sharesOf(weights: readonly number[]): number[] {
  const shares = new Array<number>(weights.length).fill(0);
  let sum = 0;
  for (let j = weights.length - 1; j >= 0; j--) {
    sum += (weights[j] ?? 0) / (j + 1);
    shares[j] = sum;
  }
  return shares;
}

/**
 * Shares that fall from first to last and add up to 1, drawn in proportion to exp(-energy): random-walk Metropolis over the ordered
 * simplex (Gelman et al., Bayesian Data Analysis, ch. 11), flat prior on the order's convex hull, {@link DRAWS} steps after
 * {@link WARM_UP} in which the stride is tuned.
 *
 * @param count how many shares, at least 1
 * @returns 1500 rows of `count` shares, the same for the same seed
 */
export function drawOrderedShares(
  count: number,
  energyOf: (shares: readonly number[]) => number,
  seed: number,
): readonly (readonly number[])[] {
  const random = seededRandom(seed);
  let weights = new Array<number>(count).fill(1 / count);
  let energy = energyOf(sharesOf(weights));
  const rows: number[][] = [];
  let stride = 0.25;
  let taken = 0;
  for (let draw = 0; draw < WARM_UP + DRAWS; draw++) {
    // pass weight between two corners: the sum stays 1 and every point can be reached
    const i = Math.floor(random() * count);
    const j = Math.floor(random() * count);
    const moved = (random() - 0.5) * 2 * stride * (random() < 0.3 ? 0.1 : 1);
    const next = [...weights];
    next[i] = (next[i] ?? 0) + moved;
    next[j] = (next[j] ?? 0) - moved;
    if ((next[i] ?? 0) >= 0 && (next[j] ?? 0) >= 0 && i !== j) {
      const after = energyOf(sharesOf(next));
      if (after <= energy || random() < Math.exp(energy - after)) {
        weights = next;
        energy = after;
        taken++;
      }
    }
    if (draw < WARM_UP && draw % 100 === 99) {
      stride = Math.min(0.5, Math.max(0.002, stride * (taken < 20 ? 0.7 : taken > 45 ? 1.4 : 1)));
      taken = 0;
    }
    if (draw >= WARM_UP && draw % EVERY === 0) rows.push(sharesOf(weights));
  }
  return rows;
}
