import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { FIGURES } from '@/core/calibrated';
import { PRIORS, type FigureName, type Figures } from '@/core/calibrated/priors';
import { FIGURE_DRAWS } from '@/core/calibrated/draws';
import type { Fitted } from '@/core/calibrated/fitted';
import { normalDraws } from '@/core/numeric/draws';
import { curvedFit, linearFit } from '@/core/numeric/leastSquares';
import { Z80 } from '@/core/numeric/normal';
import { askWith } from './ask';
import type { Answer, Row } from './practice';
import { isOpen, scaled, seen, width, type Seen } from './table';

/** How much a row counts by how sure practice is of it: its sds are so many times as wide. */
const DOUBT = { A: 0.55, B: 1.15, C: 2 } as const;
/** Aimed a little inside of a range: on its very edge a row is in or out by rounding. */
const INSIDE = 0.92;
/** Our own rows speak a little more softly than the given ones. */
const OWN_DOUBT = 1.4;
/** Answers of one row speak of one dough: together they count as three at the most. */
const MOST_ANSWERS = 5;
/** An answer the model cannot give yet counts as so many sds away, whichever way the figures go. */
const CANNOT_SAY = 3;
/** Beyond so many sds an answer pulls no harder the further it is: one wrong row shall not bend the others. */
const FAR = 1;

/**
 * What the model says against practice's range, in sds, its ends taken as an 80 % interval: flat inside, for practice does not say
 * where in its range a dough is, and linear beyond it.
 */
function missAt(row: Row, answer: Answer, at: number | null): number {
  if (at === null) return CANNOT_SAY;
  const low = scaled(answer.kind, answer.low);
  const high = scaled(answer.kind, answer.high);
  if (isOpen(answer) && at >= (low + high) / 2) return 0;
  const off = (2 * (at - (low + high) / 2)) / (high - low);
  const far = Math.abs(off) / INSIDE;
  const own = row.id.startsWith('O') ? OWN_DOUBT : 1;
  const weight = Z80 / DOUBT[row.sure] / own / Math.sqrt(Math.max(1, row.answers.length / MOST_ANSWERS));
  const sds = far <= 1 ? far ** 6 : 6 * far - 5;
  return Math.sign(off) * weight * (sds <= FAR ? sds : FAR * (1 + Math.log(sds / FAR)));
}

/** An answer on the scale on which its range is looked at; null where the model cannot say. */
const atOf = ({ answer, value }: Seen): number | null => (value === null ? null : scaled(answer.kind, value));
const miss = (each: Seen): number => missAt(each.row, each.answer, atOf(each));

/** The figure for a step x away from its prior: on the logarithm where that is how it is believed. */
const figureAt = (name: FigureName, x: number): number => {
  const { value, log } = PRIORS[name];
  return log ? value * Math.exp(x) : value + x;
};
const stepOf = (name: FigureName, figure: number): number => {
  const { value, log } = PRIORS[name];
  return log ? Math.log(figure / value) : figure - value;
};

/**
 * One figure after the other, a step up or down, longer where it helps and shorter where neither does (Hooke & Jeeves 1961): for corners no straight
 * line sees, of ranges that are flat inside.
 */
function patterned(
  start: readonly number[],
  misses: (x: readonly number[]) => readonly number[],
  prior: readonly { readonly at: number; readonly sd: number }[],
  bounds: readonly { readonly min: number; readonly max: number }[],
  sweeps: number,
): readonly number[] {
  if (sweeps === 0) return start;
  const costOf = (x: readonly number[]) =>
    misses(x).reduce((sum, z) => sum + z * z, 0) +
    prior.reduce((sum, { at, sd }, i) => sum + ((x[i]! - at) / sd) ** 2, 0);
  let x = start;
  let cost = costOf(x);
  const steps = prior.map(({ sd }) => 0.25 * sd);
  for (let sweep = 0; sweep < sweeps; sweep += 1) {
    for (const i of steps.keys()) {
      const { min, max } = bounds[i]!;
      const moved = (by: number) =>
        x.map((each, j) => (i === j ? Math.min(max, Math.max(min, each + by)) : each));
      const better = [steps[i]!, -steps[i]!].some((by) => {
        const next = moved(by);
        if (next[i] === x[i]) return false;
        const costs = costOf(next);
        if (costs >= cost) return false;
        x = next;
        cost = costs;
        // the way that helped is tried first the next time
        steps[i] = 1.5 * by;
        return true;
      });
      if (!better) steps[i] = 0.4 * steps[i]!;
    }
  }
  return x;
}

const priorsOf = (names: readonly FigureName[]) => names.map((name) => ({ at: 0, sd: PRIORS[name].sd }));
const boundsOf = (names: readonly FigureName[]) =>
  names.map((name) => {
    const { value, sd, log } = PRIORS[name];
    const low = log || value >= 1 ? -3 * sd : Math.max(-3 * sd, -0.95 * value);
    return { min: low, max: log || value >= 1 ? 3 * sd : Math.min(3 * sd, 1 - value), move: 1.5 * sd };
  });

export interface FitOutcome {
  readonly figures: Figures;
  readonly fitted: Readonly<Record<string, Fitted>>;
  readonly settled: boolean;
  readonly cost: number;
  /** At the end: what each answer is, how it moves with each figure, where the figures stand against their priors. */
  readonly names: readonly FigureName[];
  readonly answers: readonly (number | null)[];
  readonly slopes: readonly (readonly number[])[];
  readonly covariance: readonly (readonly number[])[];
  readonly x: readonly number[];
}

/**
 * Fits figures to rows: least squares on what the model says against the middle of each range, with what was believed of every figure
 * before as prior (Gauss-Newton, damped). The covariance says how well each is known; a row speaks for a figure by how much of what is known of
 * it comes from that row.
 */
export function fitFigures(
  names: readonly FigureName[],
  rows: readonly Row[],
  from: Figures = FIGURES,
  rounds = 9,
  say: (text: string) => void = () => undefined,
  /** So many rounds of one figure after the other at the end. */
  sweeps = 0,
): FitOutcome {
  const at = (x: readonly number[]): Figures => ({
    ...from,
    ...Object.fromEntries(names.map((name, i) => [name, figureAt(name, x[i]!)])),
  });
  let count = 0;
  const misses = (x: readonly number[]): number[] => {
    askWith(at(x));
    const found = seen(rows, false).map(miss);
    count += 1;
    say(`${count}: ${found.reduce((sum, z) => sum + z * z, 0).toFixed(1)}`);
    return found;
  };
  const origin = names.map((name) => stepOf(name, from[name]));
  const prior = priorsOf(names);
  const bounds = boundsOf(names);
  const coarsely = (x: readonly number[]): number[] => {
    askWith(at(x));
    return seen(rows, 'coarse').map(miss);
  };
  const fit = curvedFit({
    misses,
    // how a figure moves an answer is much the same on a coarse grid, in a third of the time
    slopesBy: coarsely,
    start: origin,
    prior,
    steps: names.map((name) => 0.2 * PRIORS[name].sd),
    bounds,
    rounds,
    near: names.map((name) => 0.03 * PRIORS[name].sd),
  });
  if (!fit) throw new Error('The model says nothing at the prior');
  const x = patterned(fit.x, misses, prior, bounds, sweeps);
  askWith(at(x));
  const ended = seen(rows, false);
  const cost = ended.reduce((sum, each) => sum + miss(each) ** 2, 0);
  const told = (by: readonly number[]): Seen[] => {
    askWith(at(by));
    return seen(rows, 'coarse');
  };
  const here = told(x);
  const moved = names.map((name, i) => {
    const step = 0.2 * PRIORS[name].sd;
    return { step, there: told(x.map((each, j) => (i === j ? each + step : each))) };
  });
  const slopes = moved.map(({ step, there }) =>
    there.map((each, k) => {
      const [from, to] = [atOf(here[k]!), atOf(each)];
      return from === null || to === null ? 0 : (to - from) / step;
    }),
  );
  const rowsOf = ended.map(({ row, answer }) => ({ row, answer }));
  // how well each is known where the fit ended, not where its last straight line began
  const covariance = knownBy(names, slopes, rowsOf);
  const fitted = Object.fromEntries(
    names.map((name, i) => {
      const told = new Map<string, number>();
      slopes[i]!.forEach((slope, k) => {
        const { row, answer } = rowsOf[k]!;
        told.set(row.id, (told.get(row.id) ?? 0) + (slope / doubtOf(row, answer)) ** 2);
      });
      const all = [...told.values()].reduce((sum, each) => sum + each, 0);
      const speak = [...told].filter(([, each]) => each > 0.08 * all && all * PRIORS[name].sd ** 2 > 0.2);
      return [
        name,
        {
          value: Number(figureAt(name, x[i]!).toPrecision(4)),
          sd: Number(Math.sqrt(covariance[i]![i]!).toPrecision(3)),
          rows: speak.sort((a, b) => b[1] - a[1]).map(([id]) => id),
        },
      ];
    }),
  );
  askWith(at(x));
  return {
    figures: at(x),
    fitted,
    settled: fit.settled,
    cost,
    names,
    answers: ended.map(atOf),
    slopes,
    covariance,
    x,
  };
}

/** One sd of what practice says, its range taken as an 80 % interval, by how sure it is; answers of one row speak of one dough. */
const doubtOf = (row: Row, answer: Answer): number =>
  (width(answer.kind, answer.low, answer.high) / 2 / Z80) *
  Math.max(1, DOUBT[row.sure]) *
  Math.sqrt(Math.max(1, row.answers.length / MOST_ANSWERS));

/** How well figures are known by these answers, in their steps from the prior: rows of columns. */
const knownBy = (
  names: readonly FigureName[],
  slopes: FitOutcome['slopes'],
  by: readonly ({ readonly row: Row; readonly answer: Answer } | null)[],
) =>
  linearFit(
    by.flatMap((each, k) =>
      each ? [{ left: 0, by: slopes.map((mine) => mine[k]!), sd: doubtOf(each.row, each.answer) }] : [],
    ),
    priorsOf(names),
  ).covariance;

/**
 * Sets of figures that stand for how well they are known together: slices of a normal in every direction of the covariance, inside of what a
 * figure can be.
 */
export function drawnFigures(
  { names, figures }: Pick<FitOutcome, 'names' | 'figures'>,
  covariance: FitOutcome['covariance'],
): Figures[] {
  // even to the last digit, which rounding is not
  const even = new Matrix(covariance.map((row, i) => row.map((each, j) => (each + covariance[j]![i]!) / 2)));
  const half = new CholeskyDecomposition(even).lowerTriangularMatrix;
  const bounds = boundsOf(names);
  return normalDraws(FIGURE_DRAWS, names.length, 50_021).map((z) => ({
    ...figures,
    ...Object.fromEntries(
      names.map((name, i) => {
        const from = stepOf(name, figures[name]);
        const { min, max } = bounds[i]!;
        const to = z.reduce((sum, each, j) => sum + half.get(i, j) * each, from);
        return [name, figureAt(name, Math.min(Math.max(max, from), Math.max(Math.min(min, from), to)))];
      }),
    ),
  }));
}

/** What a fit comes to that has not seen one style. */
export interface WithoutStyle {
  readonly figures: Figures;
  readonly drawn: readonly Figures[];
}

/**
 * Where the fit ends with some of the answers alone, every one moving straight with the figures but missed as in the fit itself, whose walls hold a
 * figure that a straight line through a range's flat middle would let go.
 */
function straightFit(
  { names, answers, slopes, x: end }: FitOutcome,
  kept: readonly Asked[],
): readonly number[] {
  const prior = priorsOf(names);
  const fit = curvedFit({
    misses: (x) =>
      kept.map(({ row, answer, k }) => {
        const was = answers[k]!;
        const by = (i: number) => slopes[i]![k]! * (x[i]! - end[i]!);
        return missAt(row, answer, was === null ? null : names.reduce((sum, _, i) => sum + by(i), was));
      }),
    start: end,
    prior,
    steps: prior.map(({ sd }) => 0.02 * sd),
    bounds: boundsOf(names),
    rounds: 60,
    near: prior.map(({ sd }) => 0.003 * sd),
  });
  if (!fit) throw new Error('The fit without a style has no start');
  return fit.x;
}
/** An answer of a row, and which of all it is. */
interface Asked {
  readonly row: Row;
  readonly answer: Answer;
  readonly k: number;
}

/**
 * The figures a fit comes to that has not seen one style: moved from where the whole fit ended by what its rows make the difference of. Rows that
 * speak for no figure move none.
 */
export function withoutStyles(outcome: FitOutcome, rows: readonly Row[]): (style: string) => WithoutStyle {
  const { names, slopes } = outcome;
  const bounds = boundsOf(names);
  const all = rows.flatMap((row) => row.answers.map((answer) => ({ row, answer }))).map((each, k) => ({ ...each, k })); // prettier-ignore
  const whole = straightFit(outcome, all);
  return (style) => {
    const without = straightFit(outcome, all.filter(({ row }) => row.style !== style)); // prettier-ignore
    const x = outcome.x.map((at, i) => {
      const { min, max } = bounds[i]!;
      return Math.min(Math.max(max, at), Math.max(Math.min(min, at), at + without[i]! - whole[i]!));
    });
    const figures = {
      ...outcome.figures,
      ...Object.fromEntries(names.map((name, i) => [name, figureAt(name, x[i]!)])),
    };
    const known = knownBy(names, slopes, all.map((each) => (each.row.style === style ? null : each))); // prettier-ignore
    return { figures, drawn: drawnFigures({ names, figures }, known) };
  };
}
