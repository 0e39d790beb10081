import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { linearFit, type Fit } from '../numeric/leastSquares';
import { normalDraws } from '../numeric/draws';
import { Z80 } from '../numeric/normal';

/** What came of one rung: where it stood on the ladder, and what was said of it. */
export interface RungScore {
  readonly value: number;
  /** Mean score, 1 … 5. */
  readonly score: number;
  /** Cards behind it. */
  readonly tasters: number;
}

export interface Response {
  /** Score to be expected at a value, with its 80 % interval: of the bread as it is, not of what one taster will say. */
  readonly at: (value: number) => { readonly value: number; readonly low: number; readonly high: number };
  /** Of each rung, how likely it is the best of them. */
  readonly bestOf: readonly { readonly value: number; readonly chance: number }[];
  /** Where the score is highest within what was tried, 80 % of the draws; null: it rises or falls all the way for most of them, or nothing can be told. */
  readonly top: { readonly value: number; readonly low: number; readonly high: number } | null;
  /** How likely it is that more is better (above ½) or less is, over what was tried. */
  readonly risesChance: number;
  /** What one ladder of these rungs can and cannot say. */
  readonly says: 'nothing' | 'two' | 'curve';
  /** Where one more bread would make the best known most surely. */
  readonly teaches: number | null;
}

/**
 * How far one taster is from the truth of a slice (steps of a card), and how far two breads of one dough are from one another (hands, place in the oven). Our own
 * figures: half a step each is what tasters of a five-point scale are usually given.
 */
const TASTER_SD = 0.7;
const BREAD_SD = 0.35;
/**
 * Before a ladder is baked: a score in the middle, a step or so of slope over the whole of it, and a bend of as much. Wide enough for four tasters to overrule, narrow
 * enough that three points are not believed to the letter.
 */
const PRIOR = [
  { at: 3.2, sd: 1 },
  { at: 0, sd: 0.9 },
  { at: -0.3, sd: 0.8 },
];
const DRAWS = 400;
const STEPS = 40;

/** Level, slope and bend, of a ladder from −1 to 1. */
const termsAt = (z: number): number[] => [1, z, z * z];

const varianceAt = (covariance: Fit['covariance'], terms: readonly number[]): number =>
  terms.reduce((sum, a, i) => sum + terms.reduce((inner, b, j) => inner + a * b * covariance[i]![j]!, 0), 0);

const sdOf = (tasters: number): number => Math.hypot(BREAD_SD, TASTER_SD / Math.sqrt(Math.max(1, tasters)));

/**
 * A curve through the rungs of a ladder, and how little three points know: a quadratic with a prior, so that with few points it stays flat and wide
 * (Bayesian linear regression, Gelman et al., Bayesian Data Analysis, ch. 14).
 *
 * @param rungs two or more at different values, else it says nothing
 * @param seed of the draws
 */
export function responseOf(rungs: readonly RungScore[], seed: number): Response {
  const values = [...new Set(rungs.map(({ value }) => value))].sort((a, b) => a - b);
  const [low, high] = [values[0] ?? 0, values.at(-1) ?? 0];
  const zOf = (value: number) => (high > low ? (2 * (value - low)) / (high - low) - 1 : 0);
  const valueOf = (z: number) => low + ((z + 1) / 2) * (high - low);
  const rows = rungs.map(({ value, score, tasters }) => ({ left: score, by: termsAt(zOf(value)), sd: sdOf(tasters) }));
  const { x, covariance } = linearFit(rows, PRIOR);
  const at = (value: number) => {
    const terms = termsAt(zOf(value));
    const mean = terms.reduce((sum, term, i) => sum + term * x[i]!, 0);
    const reach = Z80 * Math.sqrt(varianceAt(covariance, terms));
    const within = (score: number) => Math.min(5, Math.max(1, score));
    return { value: within(mean), low: within(mean - reach), high: within(mean + reach) };
  };
  // its two halves differ in the last digit
  const even = new Matrix(covariance.map((row, i) => row.map((_, j) => covariance[Math.max(i, j)]![Math.min(i, j)]!)));
  const half = new CholeskyDecomposition(even).lowerTriangularMatrix.to2DArray();
  const curves = normalDraws(DRAWS, 3, seed).map((draw) => half.map((row, i) => x[i]! + row.reduce((sum, weight, k) => sum + weight * draw[k]!, 0)));
  const scoreOf = (curve: readonly number[], z: number) => curve[0]! + curve[1]! * z + curve[2]! * z * z;
  const share = (is: (curve: readonly number[]) => boolean) => curves.filter(is).length / curves.length;
  const bestOf = values.map((value) => ({
    value,
    chance: share((curve) => values.every((other) => other === value || scoreOf(curve, zOf(value)) > scoreOf(curve, zOf(other)))),
  }));
  const says = values.length < 2 ? 'nothing' : values.length === 2 ? 'two' : 'curve';
  return {
    at,
    bestOf,
    top: says === 'curve' ? topOf(curves, valueOf) : null,
    risesChance: share((curve) => scoreOf(curve, 1) > scoreOf(curve, -1)),
    says,
    teaches: says === 'nothing' ? null : valueOf(mostTaught(rows, x)),
  };
} // prettier-ignore

/** Where each drawn curve is highest, if most of them are highest inside. */
function topOf(curves: readonly (readonly number[])[], valueOf: (z: number) => number): Response['top'] {
  const tops = curves.flatMap(([, slope, bend]) => {
    if (bend! >= 0) return [];
    const z = -slope! / (2 * bend!);
    return Math.abs(z) < 1 ? [z] : [];
  });
  if (tops.length < 0.6 * curves.length) return null;
  tops.sort((a, b) => a - b);
  const level = (part: number) => valueOf(tops[Math.floor(part * (tops.length - 1))]!);
  return { value: level(0.5), low: level(0.1), high: level(0.9) };
}

/** The place where one more bread would leave the least doubt of the score at the likeliest best: half a ladder beyond its ends at most. */
function mostTaught(rows: Parameters<typeof linearFit>[0], x: readonly number[]): number {
  const places = Array.from({ length: STEPS + 1 }, (_, i) => -1.5 + (3 * i) / STEPS);
  const scoreAt = (z: number) => termsAt(z).reduce((sum, term, i) => sum + term * x[i]!, 0);
  const best = places.reduce((top, z) => (scoreAt(z) > scoreAt(top) ? z : top), 0);
  const doubt = (z: number) =>
    varianceAt(linearFit([...rows, { left: 0, by: termsAt(z), sd: sdOf(1) }], PRIOR).covariance, termsAt(best)); // prettier-ignore
  return places.reduce((least, z) => (doubt(z) < doubt(least) - 1e-12 ? z : least), 0);
}
