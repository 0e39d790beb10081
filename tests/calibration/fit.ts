import { FIGURES, PRIORS, type FigureName, type Figures } from '@/core/calibrated';
import type { Fitted } from '@/core/calibrated/fitted';
import { curvedFit, linearFit } from '@/core/numeric/leastSquares';
import { Z80 } from '@/core/numeric/normal';
import { askWith } from './ask';
import type { Row } from './practice';
import { isOpen, scaled, seen, type Seen } from './table';

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
function miss({ row, answer, value }: Seen): number {
  if (value === null) return CANNOT_SAY;
  if (isOpen(answer) && value >= (answer.low + answer.high) / 2) return 0;
  const low = scaled(answer.kind, answer.low);
  const high = scaled(answer.kind, answer.high);
  const off = (2 * (scaled(answer.kind, value) - (low + high) / 2)) / (high - low);
  const far = Math.abs(off) / INSIDE;
  const own = row.id.startsWith('O') ? OWN_DOUBT : 1;
  const weight = Z80 / DOUBT[row.sure] / own / Math.sqrt(Math.max(1, row.answers.length / MOST_ANSWERS));
  const sds = far <= 1 ? far ** 6 : 6 * far - 5;
  return Math.sign(off) * weight * (sds <= FAR ? sds : FAR * (1 + Math.log(sds / FAR)));
}

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

export interface FitOutcome {
  readonly figures: Figures;
  readonly fitted: Readonly<Record<string, Fitted>>;
  readonly settled: boolean;
  readonly cost: number;
  /** At the end: what is missed, how each miss moves with each figure, where the figures stand against their priors. */
  readonly names: readonly FigureName[];
  readonly misses: readonly number[];
  readonly slopes: readonly (readonly number[])[];
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
  const prior = names.map((name) => ({ at: 0, sd: PRIORS[name].sd }));
  const bounds = names.map((name) => {
    const { value, sd, log } = PRIORS[name];
    const low = log || value >= 1 ? -3 * sd : Math.max(-3 * sd, -0.95 * value);
    return {
      min: low,
      max: log || value >= 1 ? 3 * sd : Math.min(3 * sd, 1 - value),
      move: 1.5 * sd,
    };
  });
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
  const here = misses(x);
  const cost = here.reduce((sum, z) => sum + z * z, 0);
  const answers = rows.flatMap((row) => row.answers.map(() => row.id));
  const from0 = coarsely(x);
  const slopes = names.map((name, i) => {
    const step = 0.2 * PRIORS[name].sd;
    const moved = coarsely(x.map((each, j) => (i === j ? each + step : each)));
    return moved.map((z, k) => (z - from0[k]!) / step);
  });
  // how well each is known where the fit ended, not where its last straight line began
  const { covariance } = linearFit(
    here.map((_, k) => ({ left: 0, by: slopes.map((each) => each[k]!), sd: 1 })),
    prior,
  );
  const fitted = Object.fromEntries(
    names.map((name, i) => {
      const told = new Map<string, number>();
      slopes[i]!.forEach((slope, k) => {
        told.set(answers[k]!, (told.get(answers[k]!) ?? 0) + slope * slope);
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
  return { figures: at(x), fitted, settled: fit.settled, cost, names, misses: here, slopes, x };
}

/** The figures a fit comes to that has not seen one style: the normal equations without its rows, from where the whole fit ended. */
export function withoutStyle(outcome: FitOutcome, rows: readonly Row[], style: string): Figures {
  const of = rows.flatMap((row) => row.answers.map(() => row.style));
  const kept = outcome.misses.flatMap((miss, k) => {
    if (of[k] === style) return [];
    const by = outcome.slopes.map((slopes) => slopes[k]!);
    // straight about the end: miss + slopes (x - x0) = 0
    return [{ left: by.reduce((sum, slope, i) => sum + slope * outcome.x[i]!, 0) - miss, by, sd: 1 }];
  });
  const { x } = linearFit(
    kept,
    outcome.names.map((name) => ({ at: 0, sd: PRIORS[name].sd })),
  );
  return {
    ...outcome.figures,
    ...Object.fromEntries(outcome.names.map((name, i) => [name, figureAt(name, x[i]!)])),
  };
}
