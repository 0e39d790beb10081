import { FERMENTATION } from './parameters';
import { volumesAt, type Learnt, type RiseQuestion } from './riseCurve';

/** How far a dough had risen, once: its volume at `atS` over that at `sinceS`, both in seconds from the end of mixing. */
export interface RisePoint {
  readonly atS: number;
  readonly sinceS: number;
  readonly grown: number;
}

/** What was marked on one day: the history the marked dough went through, at least until its last point. */
export interface RiseObservation {
  readonly question: RiseQuestion;
  readonly points: readonly RisePoint[];
}

export interface RiseLearning {
  readonly learnt: Learnt;
  readonly marks: number;
  readonly days: number;
  /** Root mean square of what the marks still differ from the fitted curve, in volumes. */
  readonly miss: number;
}

const F = FERMENTATION;
const ROUNDS = 25;
/** Nobody's dough works six times as fast as another's: beyond this the marks are wrong, not the model. */
const MOST = 1.8;

/** How far a mark can be trusted: the eye on a jar, and a curve that is not quite the dough's. */
const sdOf = (grown: number): number =>
  Math.hypot(F.markReading * Math.max(1, grown), 0.1 * Math.abs(grown - 1));

/** Marks of one day share its room and its hand: however many, they count as two and a half. */
const weightOf = (count: number): number => Math.min(1, 2.5 / count);

type Pair = readonly [number, number];

/**
 * What a baker's own marks tell of a leaven's vigour and of a dough's holding: least squares on both logarithms, with what the
 * formula says of itself as prior (Gauss-Newton, damped). A few marks move it a little, many make it sure, but never surer than one
 * day is like another.
 *
 * Vigour is how fast gas comes against the books; holding is how much of it the dough can keep. Early marks tell the first, late ones the second.
 *
 * @returns null without a point that could be used (positive `grown`, `atS` after `sinceS`, inside the history)
 */
export function learnRise(observations: readonly RiseObservation[]): RiseLearning | null {
  const days = observations
    .map(({ question, points }) => ({
      question,
      points: points.filter(
        ({ atS, sinceS, grown }) => Number.isFinite(grown) && grown > 0 && sinceS >= 0 && atS > sinceS,
      ),
    }))
    .filter(({ points }) => points.length > 0);
  const [first] = days;
  if (!first) return null;
  const prior: Pair = [Math.max(0.05, first.question.leavening.yeastCv), F.mostHeldCv];

  /** Predicted less marked, over its spread, for all points; and the same unweighed. */
  const misses = (x: Pair): { weighed: number[]; plain: number[] } => {
    const weighed: number[] = [];
    const plain: number[] = [];
    for (const { question, points } of days) {
      const times = [...new Set(points.flatMap(({ atS, sinceS }) => [sinceS, atS]))].sort((a, b) => a - b);
      const volumes = volumesAt(question, times, Math.exp(x[0]), Math.exp(x[1]));
      const at = (tS: number) => volumes[times.indexOf(tS)] ?? 1;
      const root = Math.sqrt(weightOf(points.length));
      for (const { atS, sinceS, grown } of points) {
        const miss = at(atS) / at(sinceS) - grown;
        plain.push(miss);
        weighed.push((root * miss) / sdOf(grown));
      }
    }
    return { weighed, plain };
  };
  const costOf = (x: Pair, weighed: readonly number[]): number =>
    weighed.reduce((sum, each) => sum + each * each, (x[0] / prior[0]) ** 2 + (x[1] / prior[1]) ** 2);

  let x: Pair = [0, 0];
  let now = misses(x);
  let cost = costOf(x, now.weighed);
  let damping = 1e-3;
  let curved: [number, number, number] = [prior[0] ** -2, 0, prior[1] ** -2];
  for (let round = 0; round < ROUNDS; round += 1) {
    const step = 0.02;
    const byVigour = misses([x[0] + step, x[1]]).weighed;
    const byHolding = misses([x[0], x[1] + step]).weighed;
    let [a, b, c] = [prior[0] ** -2, 0, prior[1] ** -2];
    let [g, h] = [x[0] / prior[0] ** 2, x[1] / prior[1] ** 2];
    now.weighed.forEach((miss, index) => {
      const u = (byVigour[index]! - miss) / step;
      const v = (byHolding[index]! - miss) / step;
      a += u * u;
      b += u * v;
      c += v * v;
      g += u * miss;
      h += v * miss;
    });
    curved = [a, b, c];
    let moved = false;
    for (; damping < 1e6; damping *= 8) {
      const [p, q] = [a * (1 + damping), c * (1 + damping)];
      const det = p * q - b * b;
      const clamp = (value: number) => Math.min(MOST, Math.max(-MOST, value));
      const next: Pair = [clamp(x[0] - (q * g - b * h) / det), clamp(x[1] - (p * h - b * g) / det)];
      const tried = misses(next);
      const costs = costOf(next, tried.weighed);
      if (costs <= cost) {
        moved = cost - costs > 1e-9 * (1 + cost);
        x = next;
        now = tried;
        cost = costs;
        damping = Math.max(1e-4, damping / 8);
        break;
      }
    }
    if (!moved) break;
  }
  const [a, b, c] = curved;
  const det = a * c - b * b;
  const known = (variance: number, day: number, before: number) =>
    Math.min(before, Math.hypot(Math.sqrt(Math.max(0, variance)), day));
  return {
    learnt: {
      vigour: { value: Math.exp(x[0]), cv: known(c / det, F.dayCv.vigour, prior[0]) },
      holding: { value: Math.exp(x[1]), cv: known(a / det, F.dayCv.holding, prior[1]) },
    },
    marks: now.plain.length,
    days: days.length,
    miss: Math.sqrt(now.plain.reduce((sum, each) => sum + each * each, 0) / now.plain.length),
  };
}
