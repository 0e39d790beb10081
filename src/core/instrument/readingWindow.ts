import { isFigure } from './readingState';
import type { TakenReading } from './telling';

/** Readings are saved as what they come to in so long, ms. */
const WINDOW_MS = 10_000;

/** What the readings of one instrument come to in ten seconds: nothing that was acknowledged is lost, and a day is 8,640 rows at most. */
export interface ReadingWindow {
  readonly startsAtMs: number;
  /** Readings with a figure, and what they come to; null: none had one. */
  readonly count: number;
  readonly least: number | null;
  readonly most: number | null;
  readonly total: number;
  /** Readings without one: overload, a fault. */
  readonly unsure: number;
  /** The newest by when it was taken, not by when it came. */
  readonly last: TakenReading;
}

/** Of two with the same moment the larger figure, so that the order they came in makes no difference. */
const newer = (a: TakenReading, b: TakenReading): TakenReading =>
  a.atMs !== b.atMs ? (a.atMs > b.atMs ? a : b) : a.value >= b.value ? a : b;

const windowOf = (reading: TakenReading): ReadingWindow => {
  const figure = isFigure(reading.state) ? reading.value : null;
  return {
    startsAtMs: Math.floor(reading.atMs / WINDOW_MS) * WINDOW_MS,
    count: figure === null ? 0 : 1,
    least: figure,
    most: figure,
    total: figure ?? 0,
    unsure: figure === null ? 1 : 0,
    last: reading,
  };
};

const outer = (of: (a: number, b: number) => number, a: number | null, b: number | null): number | null =>
  a === null ? b : b === null ? a : of(a, b);

/** Two windows of the same ten seconds as one; in any order, any grouping. */
export const joined = (a: ReadingWindow, b: ReadingWindow): ReadingWindow => ({
  startsAtMs: a.startsAtMs,
  count: a.count + b.count,
  least: outer(Math.min, a.least, b.least),
  most: outer(Math.max, a.most, b.most),
  total: a.total + b.total,
  unsure: a.unsure + b.unsure,
  last: newer(a.last, b.last),
});

/** The windows of some readings, by their beginning. */
export function windowsOf(readings: readonly TakenReading[]): readonly ReadingWindow[] {
  const windows = new Map<number, ReadingWindow>();
  for (const reading of readings) {
    const one = windowOf(reading);
    const there = windows.get(one.startsAtMs);
    windows.set(one.startsAtMs, there ? joined(there, one) : one);
  }
  return [...windows.values()].sort((a, b) => a.startsAtMs - b.startsAtMs);
}
