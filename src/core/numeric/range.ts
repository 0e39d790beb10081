import { middleOf } from './quantile';

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

/** The interval that draws give a central value; it always holds that value. */
export function rangeOf(value: number, drawn: readonly number[]): Range {
  const { low, high } = middleOf(drawn);
  return { value, low: Math.min(value, low), high: Math.max(value, high) };
}

/** As {@link rangeOf}; never reached counts as later than all that is, so the interval's late end may be open. */
export function maybeRangeOf(value: number | null, drawn: readonly (number | null)[]): MaybeRange {
  const middle = middleOf(drawn.map((each) => each ?? Infinity));
  const end = (at: number) => (Number.isFinite(at) ? at : null);
  const low = end(middle.low);
  const high = end(middle.high);
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
