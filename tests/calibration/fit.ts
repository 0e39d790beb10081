import { FIGURES, PRIORS, type FigureName, type Figures } from '@/core/calibrated';
import type { Fitted } from '@/core/calibrated/fitted';
import { curvedFit, linearFit } from '@/core/numeric/leastSquares';
import { Z80 } from '@/core/numeric/normal';
import { askWith } from './ask';
import type { Row } from './practice';
import { isOpen, scaled, seen, type Seen } from './table';

/** How much a row counts by how sure practice is of it: its sds are so many times as wide. */
const DOUBT = { A: 0.75, B: 1.15, C: 2 } as const;
/** Aimed a little inside of a range: on its very edge a row is in or out by rounding. */
const INSIDE = 0.92;
/** Our own rows speak a little more softly than the given ones. */
const OWN_DOUBT = 1.4;
/** Answers of one row speak of one dough: together they count as three at the most. */
const MOST_ANSWERS = 5;
/** An answer the model cannot give yet counts as so many sds away, whichever way the figures go. */
const CANNOT_SAY = 3;
/** Beyond so many sds an answer pulls no harder the further it is: one wrong row shall not bend the others. */
const FAR = 4;

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
    if (count % (names.length + 1) === 1)
      say(`${count}: ${found.reduce((sum, z) => sum + z * z, 0).toFixed(1)}`);
    return found;
  };
  const origin = names.map((name) => stepOf(name, from[name]));
  const fit = curvedFit({
    misses,
    start: origin,
    prior: names.map((name) => ({ at: 0, sd: PRIORS[name].sd })),
    steps: names.map((name) => 0.2 * PRIORS[name].sd),
    bounds: names.map((name) => {
      const { value, sd, log } = PRIORS[name];
      const low = log || value >= 1 ? -3 * sd : Math.max(-3 * sd, -0.95 * value);
      return {
        min: low,
        max: log || value >= 1 ? 3 * sd : Math.min(3 * sd, 1 - value),
        move: 1.5 * sd,
      };
    }),
    rounds,
    near: names.map((name) => 0.03 * PRIORS[name].sd),
  });
  if (!fit) throw new Error('The model says nothing at the prior');
  const here = misses(fit.x);
  const cost = here.reduce((sum, z) => sum + z * z, 0);
  const answers = rows.flatMap((row) => row.answers.map(() => row.id));
  const slopes = names.map((name, i) => {
    const step = 0.2 * PRIORS[name].sd;
    const moved = misses(fit.x.map((each, j) => (i === j ? each + step : each)));
    return moved.map((z, k) => (z - here[k]!) / step);
  });
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
          value: Number(figureAt(name, fit.x[i]!).toPrecision(4)),
          sd: Number(Math.sqrt(fit.covariance[i]![i]!).toPrecision(3)),
          rows: speak.sort((a, b) => b[1] - a[1]).map(([id]) => id),
        },
      ];
    }),
  );
  askWith(at(fit.x));
  return { figures: at(fit.x), fitted, settled: fit.settled, cost, names, misses: here, slopes, x: fit.x };
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
