/** A stretch of the day that is drawn shorter than it is, with a mark: nobody needs to see all of a night in the fridge. */
interface AxisPart {
  readonly fromS: number;
  readonly toS: number;
  /** Shares of the axis, 0 ... 1. */
  readonly fromX: number;
  readonly toX: number;
  /** Drawn shortened. */
  readonly folded: boolean;
}

export interface TimeAxis {
  readonly parts: readonly AxisPart[];
  readonly x: (atS: number) => number;
  readonly atS: (x: number) => number;
  /** Seconds per share of the axis at a time: what a drag there is worth. */
  readonly secondsPerX: (atS: number) => number;
}

/** A step longer than this is folded, and what is over it counts so little. */
const WHOLE_S = 2.5 * 3600;
const OVER_COUNTS = 0.06;

/**
 * One axis for mixing to cutting. Linear inside each part; parts are cut where steps begin and end.
 * @param cuts times of the ends, rising; at least two
 */
export function timeAxis(cuts: readonly number[]): TimeAxis {
  const times = [...new Set(cuts)].sort((a, b) => a - b);
  const first = times[0] ?? 0;
  const spans = times.slice(1).map((toS, index) => {
    const fromS = times[index] ?? first;
    const long = toS - fromS;
    return {
      fromS,
      toS,
      weight: Math.min(long, WHOLE_S) + OVER_COUNTS * Math.max(0, long - WHOLE_S),
      folded: long > WHOLE_S,
    };
  });
  const whole = spans.reduce((sum, span) => sum + span.weight, 0) || 1;
  let x = 0;
  const parts = spans.map(({ fromS, toS, weight, folded }): AxisPart => {
    const fromX = x;
    x += weight / whole;
    return { fromS, toS, fromX, toX: x, folded };
  });
  const partAt = (atS: number): AxisPart =>
    parts.find((part) => atS <= part.toS) ??
    parts[parts.length - 1] ?? { fromS: 0, toS: 1, fromX: 0, toX: 1, folded: false };
  return {
    parts,
    x: (atS) => {
      const part = partAt(atS);
      return (
        part.fromX + ((atS - part.fromS) / Math.max(1e-9, part.toS - part.fromS)) * (part.toX - part.fromX)
      );
    },
    atS: (at) => {
      const part = parts.find((each) => at <= each.toX) ?? parts[parts.length - 1];
      if (!part) return 0;
      return (
        part.fromS + ((at - part.fromX) / Math.max(1e-9, part.toX - part.fromX)) * (part.toS - part.fromS)
      );
    },
    secondsPerX: (atS) => {
      const part = partAt(atS);
      return (part.toS - part.fromS) / Math.max(1e-9, part.toX - part.fromX);
    },
  };
}

/** Round times for ticks inside the axis: every quarter, half, whole or more hours, so that some eight fit. */
export function ticksS(axis: TimeAxis): number[] {
  const shown = axis.parts
    .filter((part) => !part.folded)
    .reduce((sum, part) => sum + part.toS - part.fromS, 0);
  const step = [900, 1800, 3600, 7200, 14_400].find((each) => shown / each <= 9) ?? 28_800;
  const last = axis.parts[axis.parts.length - 1]?.toS ?? 0;
  const all = Array.from({ length: Math.min(400, Math.floor(last / step) + 1) }, (_, index) => index * step);
  return all.filter((tS) => !axis.parts.some((part) => part.folded && tS > part.fromS && tS < part.toS));
}
