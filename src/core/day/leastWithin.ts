/** Used by one pass at a time; asked for anew only where a longer one comes. */
let queue = new Int32Array(0);

/**
 * For every place the least of what comes within a window behind it: of `values[at + least .. at + most]`. One pass with a queue of candidates. Infinity where
 * there is nothing.
 *
 * @param most null: to the end
 * @param from to: the places in question; of others nothing is said
 */
export function leastWithin(values: Float64Array, least: number, most: number | null, from = 0, to = values.length - 1): Float64Array {
  const never = Infinity;
  const size = values.length;
  const out = new Float64Array(size).fill(never);
  // from the back: the queue holds places of rising value from front to back, nearer ones at its end
  if (queue.length < size) queue = new Int32Array(size);
  let head = 0;
  let tail = 0;
  const last = most === null ? size - 1 : Math.min(size - 1, to + most - least);
  for (let at = last; at >= from; at -= 1) {
    const enters = at + least;
    if (enters < size && values[enters]! < never) {
      while (tail > head && values[queue[tail - 1]!]! >= values[enters]!) tail -= 1;
      queue[tail++] = enters;
    }
    if (most !== null) while (head < tail && queue[head]! > at + most) head += 1;
    if (at <= to && head < tail) out[at] = values[queue[head]!]!;
  }
  return out;
} // prettier-ignore
