import { quantileOf } from '@/core/numeric/quantile';
import { COARSE, DRAWS, forget } from './ask';
import { CONSISTENCY_ROWS } from './rows/consistencyRows';
import { HEAT_ROWS } from './rows/heatRows';
import { OWN_ROWS } from './rows/ownRows';
import { RISE_ROWS } from './rows/riseRows';
import { FEEL, type Answer, type Row } from './practice';

/** The rows as practice gives them, and our own. */
export const GIVEN_ROWS: readonly Row[] = [...RISE_ROWS, ...CONSISTENCY_ROWS, ...HEAT_ROWS];
export { OWN_ROWS };

/** What the model says to one answer, with its 80 % interval; null where it cannot say. */
export interface Seen {
  readonly row: Row;
  readonly answer: Answer;
  readonly value: number | null;
  readonly low: number | null;
  readonly high: number | null;
}

export const keyOf = ({ row, answer }: Pick<Seen, 'row' | 'answer'>): string => `${row.id}: ${answer.name}`;

/** The middle, moved as far as a draw on the coarse grid lies from the coarse middle. */
const moved = (kind: Answer['kind'], value: number, plain: number, drawn: number): number =>
  kind === 'feel' || kind === 'tempC' || kind === 'degreesC' || plain * value <= 0
    ? value + drawn - plain
    : value * (drawn / plain);

/** Every answer of these rows; `withDraws` false: the middles alone; coarse: those of the coarse grid. */
export function seen(rows: readonly Row[], withDraws: boolean | 'coarse' = true): Seen[] {
  forget();
  return rows.flatMap((row) =>
    row.answers.map((answer): Seen => {
      const value = answer.of(withDraws === 'coarse' && row.group === 'heat' ? COARSE : null);
      if (withDraws !== true || value === null) return { row, answer, value, low: value, high: value };
      const drawn = Array.from({ length: DRAWS[row.group] }, (_, draw) => answer.of(draw)).filter(
        (each) => each !== null,
      );
      if (drawn.length < DRAWS[row.group] / 2) return { row, answer, value, low: value, high: value };
      const plain = row.group === 'heat' ? answer.of(COARSE) : value;
      const end = (at: number) => moved(answer.kind, value, plain ?? value, quantileOf(drawn, at));
      return { row, answer, value, low: Math.min(value, end(0.1)), high: Math.max(value, end(0.9)) };
    }),
  );
}

const logged = (kind: Answer['kind']) => kind === 'time' || kind === 'ratio' || kind === 'colour';
/** On the scale on which an answer's range is looked at: times, ratios and browning by their logarithm. */
export const scaled = (kind: Answer['kind'], x: number): number =>
  logged(kind) ? Math.log(Math.max(0.02, x)) : x;

/** A pourable dough may be as wet as it likes: the scale's end is no end of the range. */
export const isOpen = ({ kind, high }: Answer): boolean => kind === 'feel' && high === FEEL.pourable[1];

export const inRange = ({ answer, value }: Seen): boolean =>
  value !== null && value >= answer.low && (isOpen(answer) || value <= answer.high);

/** How much of practice's range the interval covers, 0 ... 1. */
export function covers({ answer, low, high }: Seen): number {
  if (low === null || high === null) return 0;
  const [a, b, c, d] = [answer.low, answer.high, low, high].map((x) => scaled(answer.kind, x)) as [
    number,
    number,
    number,
    number,
  ];
  return Math.max(0, Math.min(b, d) - Math.max(a, c)) / (b - a);
}

/** Does the interval hold the middle of practice's range? */
export function holdsMiddle({ answer: { kind, low, high }, ...said }: Seen): boolean {
  if (said.low === null || said.high === null) return false;
  const middle = (scaled(kind, low) + scaled(kind, high)) / 2;
  return scaled(kind, said.low) <= middle && middle <= scaled(kind, said.high);
}

export const width = (kind: Answer['kind'], low: number, high: number): number =>
  scaled(kind, high) - scaled(kind, low);
