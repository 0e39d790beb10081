import { BANDS, BAND_ENDS } from '@/core/consistency/parameters';
import { colourOf, COLOURS } from '@/core/heat/colour';
import { askWith } from './ask';
import type { FitOutcome } from './fit';
import { withoutStyles } from './fit';
import type { Row } from './practice';
import { covers, holdsMiddle, inRange, keyOf, seen, width, type Seen } from './table';

/** What a row's figures came to, as it is kept beside the tables: everything the tables and their tests need. */
export interface Told {
  readonly key: string;
  readonly row: string;
  readonly sure: Row['sure'];
  readonly style: string;
  readonly group: Row['group'];
  readonly kind: Seen['answer']['kind'];
  readonly practice: readonly [number, number];
  readonly value: number | null;
  readonly low: number | null;
  readonly high: number | null;
  readonly inRange: boolean;
  /** Off by more than practice can bear: a band, a factor of 1.5 in time or growth. */
  readonly farOff: boolean;
}

const bandAt = (s: number): number => BANDS.findIndex((band) => s < BAND_ENDS[band]);
const colourAt = (index: number): number => COLOURS.indexOf(colourOf(index));
/** Growth off by no more than that is not looked at. */
const FLOOR = 0.05;

/** Off by more than one band of feel or colour, by a factor of 1.5 in time, or by 1.5 in growth with a floor of 0.05. */
function farOff(each: Seen): boolean {
  const { answer, value } = each;
  if (value === null) return true;
  if (inRange(each)) return false;
  const nearest = value < answer.low ? answer.low : answer.high;
  switch (answer.kind) {
    case 'feel':
      return Math.abs(bandAt(value) - bandAt(Math.min(nearest, answer.high - 1e-9))) > 1;
    case 'colour':
      return Math.abs(colourAt(value) - colourAt(Math.min(nearest, answer.high - 1e-9))) > 1;
    case 'time':
    case 'ratio':
      return Math.max(value / nearest, nearest / value) > 1.5;
    case 'volume': {
      const [a, b] = [Math.max(FLOOR, value - 1), Math.max(FLOOR, nearest - 1)];
      return Math.max(a / b, b / a) > 1.5;
    }
    default:
      return false;
  }
}

export const told = (each: Seen): Told => ({
  key: keyOf(each),
  row: each.row.id,
  sure: each.row.sure,
  style: each.row.style,
  group: each.row.group,
  kind: each.answer.kind,
  practice: [each.answer.low, each.answer.high],
  value: each.value,
  low: each.low,
  high: each.high,
  inRange: inRange(each),
  farOff: farOff(each),
});

/** Of so many rows so many with every answer in range; and the answers. */
export function counts(all: readonly Told[]): {
  rows: number;
  rowsIn: number;
  answers: number;
  answersIn: number;
} {
  const rows = [...new Set(all.map(({ row }) => row))];
  return {
    rows: rows.length,
    rowsIn: rows.filter((id) => all.filter(({ row }) => row === id).every((each) => each.inRange)).length,
    answers: all.length,
    answersIn: all.filter((each) => each.inRange).length,
  };
}

export interface StyleLeftOut {
  readonly style: string;
  readonly group: Row['group'];
  readonly answers: number;
  /** Share of practice's ranges that the intervals cover when the style was not fitted to, and how wide they are against what they may be. */
  readonly covered: number;
  readonly wide: number;
  /** Share of practice's ranges whose middle lies in the interval. */
  readonly middles: number;
  /** Of its answers, those whose middle is still in range. */
  readonly inRange: number;
}

/** How wide an interval may be: as wide as before the fit or as practice's range, whichever is wider. */
const mayBe = (each: Seen, before: Readonly<Record<string, readonly (number | null)[]>>): number => {
  const { kind, low, high } = each.answer;
  const was = before[keyOf(each)];
  const practice = width(kind, low, high);
  return was && was[1] != null && was[2] != null ? Math.max(practice, width(kind, was[1], was[2])) : practice;
};

/** Each style judged by a fit that has not seen it. */
export function leftOut(
  outcome: FitOutcome,
  rows: readonly Row[],
  before: Readonly<Record<string, readonly (number | null)[]>>,
): StyleLeftOut[] {
  const without = withoutStyles(outcome, rows);
  return [...new Set(rows.map(({ style }) => style))].map((style) => {
    const { figures, drawn } = without(style);
    askWith(figures, drawn);
    const mine = rows.filter((row) => row.style === style);
    const all = seen(mine);
    const mean = (of: (each: Seen) => number) => all.reduce((sum, each) => sum + of(each), 0) / all.length;
    return {
      style,
      group: mine[0]!.group,
      answers: all.length,
      covered: mean(covers),
      middles: mean((each) => Number(holdsMiddle(each))),
      wide: mean(({ row, answer, value, low, high }) =>
        low === null || high === null
          ? 0
          : width(answer.kind, low, high) / mayBe({ row, answer, value, low, high }, before),
      ),
      inRange: all.filter(inRange).length,
    };
  });
}
