/** Values by slot, of some slots that follow one another. */
export interface BySlot {
  readonly from: number;
  readonly values: Float64Array;
}

/** Infinity outside of what is known. */
export const valueAt = ({ from, values }: BySlot, slot: number): number => values[slot - from] ?? Infinity;

/** Used by one pass at a time; asked for anew only where a longer one comes. */
let queue = new Int32Array(0);

/**
 * For each of some places the least of what comes within a window behind it: of what lies at `at + least` to `at + most`. One pass with a queue of candidates.
 * Infinity where there is nothing.
 *
 * @param most null: to the end
 * @param from to: the places in question
 */
export function leastWithin({ from: valuesFrom, values }: BySlot, least: number, most: number | null, from: number, to: number): BySlot {
  const never = Infinity;
  const out = new Float64Array(Math.max(0, to - from + 1)).fill(never);
  // from the back: the queue holds places of rising value from front to back, nearer ones at its end
  const end = valuesFrom + values.length;
  if (queue.length < values.length) queue = new Int32Array(values.length);
  let head = 0;
  let tail = 0;
  const last = most === null ? end - 1 - least : Math.min(end - 1 - least, to + most - least);
  for (let at = last; at >= from; at -= 1) {
    const enters = at + least;
    const entering = enters >= valuesFrom ? values[enters - valuesFrom]! : never;
    if (entering < never) {
      while (tail > head && values[queue[tail - 1]! - valuesFrom]! >= entering) tail -= 1;
      queue[tail++] = enters;
    }
    if (most !== null) while (head < tail && queue[head]! > at + most) head += 1;
    if (at <= to && head < tail) out[at - from] = values[queue[head]! - valuesFrom]!;
  }
  return { from, values: out };
} // prettier-ignore
