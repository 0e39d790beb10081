import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** What is known of a parameter before the evidence: a normal distribution. */
export interface Prior {
  readonly at: number;
  readonly sd: number;
}

/** One piece of evidence: what is left to explain, how it moves with each parameter, and how far it can be trusted. */
export interface Row {
  readonly left: number;
  readonly by: readonly number[];
  readonly sd: number;
}

export interface Fit {
  readonly x: readonly number[];
  /** Of x, rows of columns: evidence and prior together. */
  readonly covariance: readonly (readonly number[])[];
}

/** The normal equations about `x`: what bends the cost, and what pulls. */
function equations(rows: readonly Row[], prior: readonly Prior[], x: readonly number[]) {
  const curvature = Matrix.diag(prior.map(({ sd }) => sd ** -2));
  const pull = prior.map(({ at, sd }, i) => (at - x[i]!) / sd ** 2);
  for (const { left, by, sd } of rows) {
    const weight = sd ** -2;
    by.forEach((mine, i) => {
      pull[i]! += weight * mine * left;
      by.forEach((other, j) => curvature.set(i, j, curvature.get(i, j) + weight * (mine * other)));
    });
  }
  return { curvature, pull };
}

function covarianceOf(curvature: Matrix): number[][] | null {
  const halves = new CholeskyDecomposition(curvature);
  return halves.isPositiveDefinite() ? halves.solve(Matrix.eye(curvature.rows)).to2DArray() : null;
}

function moveOf(
  { curvature, pull }: ReturnType<typeof equations>,
  damping: number,
  /** These stay where they are; the others move as if they were known. */
  held: ReadonlySet<number> = new Set(),
): number[] | null {
  const damped = curvature.clone();
  pull.forEach((_, i) => {
    for (let j = 0; j < pull.length; j += 1) if (i !== j && (held.has(i) || held.has(j))) damped.set(i, j, 0);
    damped.set(i, i, curvature.get(i, i) * (1 + damping));
  });
  const halves = new CholeskyDecomposition(damped);
  if (!halves.isPositiveDefinite()) return null;
  return halves.solve(Matrix.columnVector(pull.map((each, i) => (held.has(i) ? 0 : each)))).to1DArray();
}

/** A move inside of the bounds: what stands at one and would go beyond it is held, and the rest is solved again without it. */
function boundedMove(
  these: ReturnType<typeof equations>,
  damping: number,
  x: readonly number[],
  bounds: FitQuestion['bounds'],
): number[] | null {
  const held = new Set<number>();
  for (;;) {
    const move = moveOf(these, damping, held);
    if (!move) return null;
    const beyond = move.flatMap((each, i) => {
      const { min, max } = bounds[i]!;
      const out = (x[i]! >= max && each > 0) || (x[i]! <= min && each < 0);
      return out && !held.has(i) ? [i] : [];
    });
    if (beyond.length === 0) return move;
    for (const i of beyond) held.add(i);
  }
}

/**
 * Bayesian linear least squares with a conjugate normal prior (Gelman et al., Bayesian Data Analysis, ch. 14): one reading moves it,
 * ten make it sure. One reading of 10 ± 1 against 0 ± 1 gives 5 with a variance of 0.5.
 *
 * @param rows evidence, `by` as long as `prior`; none gives the prior back
 */
export function linearFit(rows: readonly Row[], prior: readonly Prior[]): Fit {
  const origin = prior.map(() => 0);
  const these = equations(rows, prior, origin);
  const covariance = covarianceOf(these.curvature);
  const x = moveOf(these, 0);
  if (!covariance || !x) throw new RangeError('A prior is as wide as a number can be');
  return { x, covariance };
}

export interface FitQuestion {
  /** Model less evidence at x, each over the evidence's own sd; NaN where the model can't say. */
  readonly misses: (x: readonly number[]) => readonly number[];
  /** A cheaper model of the same, to see how each miss moves with x; absent: `misses` itself. */
  readonly slopesBy?: (x: readonly number[]) => readonly number[];
  readonly prior: readonly Prior[];
  /** Where the search begins; the prior's middle if nothing is said. */
  readonly start?: readonly number[];
  /** By how much each parameter is moved to see what it does. */
  readonly steps: readonly number[];
  /** Further than this from zero no parameter goes, nor at one time. */
  readonly bounds: readonly { readonly min: number; readonly max: number; readonly move: number }[];
  readonly rounds: number;
  /** Moves smaller than these end it. */
  readonly near: readonly number[];
}

/**
 * Least squares of a model that is not linear: Gauss-Newton on derivatives by differences, damped (Marquardt 1963), from the prior's
 * middle on. `settled` is false when the rounds ended first.
 *
 * @returns null where the model says nothing at the start
 */
export function curvedFit(question: FitQuestion): (Fit & { readonly settled: boolean }) | null {
  const { misses, prior, steps, bounds, near } = question;
  const costOf = (x: readonly number[], left: readonly number[]) =>
    left.reduce((sum, each) => sum + each * each, 0) +
    prior.reduce((sum, { at, sd }, i) => sum + ((x[i]! - at) / sd) ** 2, 0);
  let x: readonly number[] = question.start ?? prior.map(({ at }) => at);
  let now = misses(x);
  let cost = costOf(x, now);
  if (!Number.isFinite(cost)) return null;
  const slopes = (): Row[] => {
    const by = question.slopesBy ?? misses;
    const here = question.slopesBy ? by(x) : now;
    const moved = steps.map((step, i) => by(x.map((each, j) => (i === j ? each + step : each))));
    return now.map((miss, row) => ({
      left: -miss,
      by: steps.map((step, i) => (moved[i]![row]! - here[row]!) / step),
      sd: 1,
    }));
  };
  let damping = 1e-3;
  let settled = false;
  let covariance = covarianceOf(Matrix.diag(prior.map(({ sd }) => sd ** -2)));
  for (let round = 0; round < question.rounds && !settled; round += 1) {
    const these = equations(slopes(), prior, x);
    covariance = covarianceOf(these.curvature);
    if (!covariance) return null;
    settled = true;
    for (; damping < 1e6; damping *= 8) {
      const move = boundedMove(these, damping, x, bounds);
      if (!move) return null;
      const next = x.map((each, i) => {
        const { min, max, move: most } = bounds[i]!;
        return Math.min(max, Math.max(min, each + Math.min(most, Math.max(-most, move[i]!))));
      });
      const tried = misses(next);
      const costs = costOf(next, tried);
      if (costs <= cost) {
        settled = next.every((each, i) => Math.abs(each - x[i]!) < near[i]!);
        x = next;
        now = tried;
        cost = costs;
        damping = Math.max(1e-4, damping / 8);
        break;
      }
    }
  }
  return covariance && { x, covariance, settled };
}
