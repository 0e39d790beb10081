import { quantile } from './draws';

/** A central value and its 80 % interval. */
export interface Range {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** The same of something that may never come: null where it does not. */
export interface MaybeRange {
  readonly value: number | null;
  readonly low: number | null;
  readonly high: number | null;
  /** Share of the draws in which it comes to that at all. */
  readonly chance: number;
}

const rising = (values: readonly number[]): number[] => [...values].sort((a, b) => a - b);

/** The value below which a share of the draws lies. */
export const shareOf = (values: readonly number[], share: number): number => quantile(rising(values), share);

/** The interval that draws give a central value; it always holds that value. */
export function rangeOf(value: number, drawn: readonly number[]): Range {
  const sorted = rising(drawn);
  return {
    value,
    low: Math.min(value, quantile(sorted, 0.1)),
    high: Math.max(value, quantile(sorted, 0.9)),
  };
}

/** As {@link rangeOf}; never reached counts as later than all that is, so the interval's late end may be open. */
export function maybeRangeOf(value: number | null, drawn: readonly (number | null)[]): MaybeRange {
  const sorted = rising(drawn.map((each) => each ?? Infinity));
  const end = (share: number) => {
    const at = quantile(sorted, share);
    return Number.isFinite(at) ? at : null;
  };
  const low = end(0.1);
  const high = end(0.9);
  return {
    value,
    low: value !== null && low !== null ? Math.min(low, value) : low,
    high: value !== null && high !== null ? Math.max(high, value) : high,
    chance: drawn.filter((each) => each !== null).length / drawn.length,
  };
}

/**
 * Which parameter moves an outcome most: the one whose draws go along with it furthest.
 * @param draws rows of standard normal values, one column a name
 */
export function dominant<P extends string>(
  names: readonly [P, ...P[]],
  draws: readonly (readonly number[])[],
  outcome: readonly number[],
): P {
  const mean = outcome.reduce((sum, value) => sum + value, 0) / outcome.length;
  let [best] = names;
  let most = -1;
  names.forEach((name, column) => {
    const along = Math.abs(
      outcome.reduce((sum, value, row) => sum + (value - mean) * (draws[row]?.[column] ?? 0), 0),
    );
    if (along > most) {
      most = along;
      best = name;
    }
  });
  return best;
}
