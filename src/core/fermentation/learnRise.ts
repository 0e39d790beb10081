import { curvedFit } from '../numeric/leastSquares';
import { FERMENTATION } from './parameters';
import { volumesAt, type Learnt, type RiseQuestion } from './riseSimulation';

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
  /** Which jar of yeast lifted it, and which dough it was; marks of one jar tell its vigour in every dough. Absent: all the same. */
  readonly leavenOf?: string;
  readonly doughOf?: string;
}

/** Whose vigour and whose holding are asked. */
export interface LearnRiseOf {
  readonly leavenOf: string;
  readonly doughOf: string;
}

export interface RiseLearning {
  readonly learnt: Learnt;
  readonly marks: number;
  readonly days: number;
  /** Root mean square of what the marks still differ from the fitted curve, in volumes. */
  readonly miss: number;
  /** The same of the curve as the books have it: what was learnt is worth the difference. */
  readonly missBefore: number;
}

const F = FERMENTATION;
const ROUNDS = 25;
/** Nobody's dough works six times as fast as another's: beyond this the marks are wrong, not the model. */
const MOST = 1.8;

/** How far a mark can be trusted: the eye on a jar, and a curve that is not quite the dough's. */
export const sdOf = (grown: number): number =>
  Math.hypot(F.markReading * Math.max(1, grown), 0.1 * Math.abs(grown - 1));

const rootMeanSquare = (all: readonly number[]): number =>
  Math.sqrt(all.reduce((sum, each) => sum + each * each, 0) / all.length);

/** Marks of one day share its room and its hand: however many, they count as two and a half. */
export const weightOf = (count: number): number => Math.min(1, 2.5 / count);

/**
 * What a baker's own marks tell of a leaven's vigour and of a dough's holding: least squares on both logarithms, with what the
 * formula says of itself as prior (Gauss-Newton, damped). A few marks move it a little, many make it sure, but never surer than one
 * day is like another.
 *
 * Vigour is how fast gas comes against the books, one figure for each jar of yeast; holding is how much of it the dough can keep, one for
 * each dough. Early marks tell the first, late ones the second. All jars and doughs are fitted together.
 *
 * @param of the jar and the dough asked for; one without a mark of its own stays as the formula says
 * @returns null without a point of that jar or that dough that could be used (positive `grown`, `atS` after `sinceS`, inside the history)
 */
export function learnRise(
  observations: readonly RiseObservation[],
  of: LearnRiseOf = {
    leavenOf: observations[0]?.leavenOf ?? '',
    doughOf: observations[0]?.doughOf ?? '',
  },
): RiseLearning | null {
  const days = observations
    .map(({ question, points, leavenOf = '', doughOf = '' }) => ({
      question,
      leavenOf,
      doughOf,
      points: points.filter(
        ({ atS, sinceS, grown }) => Number.isFinite(grown) && grown > 0 && sinceS >= 0 && atS > sinceS,
      ),
    }))
    .filter(({ points }) => points.length > 0);
  const asked = days.filter((day) => day.leavenOf === of.leavenOf || day.doughOf === of.doughOf);
  const [first] = asked;
  if (!first) return null;
  const leavens = [...new Set([of.leavenOf, ...days.map((day) => day.leavenOf)])];
  const doughs = [...new Set([of.doughOf, ...days.map((day) => day.doughOf)])];
  const priorOf = (is: (day: (typeof days)[number]) => boolean) => {
    const { leavening } = (days.find(is) ?? first).question;
    return { vigour: Math.max(0.05, leavening.yeastCv), holding: leavening.holdingCv };
  };
  const prior = [
    ...leavens.map((name) => priorOf((day) => day.leavenOf === name).vigour),
    ...doughs.map((name) => priorOf((day) => day.doughOf === name).holding),
  ];
  const vigourAt = leavens.indexOf(of.leavenOf);
  const holdingAt = leavens.length + doughs.indexOf(of.doughOf);

  /** Predicted less marked, over its spread, for all points; and the same unweighed. */
  const misses = (
    x: readonly number[],
    these: readonly (typeof days)[number][] = days,
  ): { weighed: number[]; plain: number[] } => {
    const weighed: number[] = [];
    const plain: number[] = [];
    for (const { question, points, leavenOf, doughOf } of these) {
      const times = [...new Set(points.flatMap(({ atS, sinceS }) => [sinceS, atS]))].sort((a, b) => a - b);
      const volumes = volumesAt(
        question,
        times,
        Math.exp(x[leavens.indexOf(leavenOf)]!),
        Math.exp(x[leavens.length + doughs.indexOf(doughOf)]!),
      );
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
  const fit = curvedFit({
    misses: (x) => misses(x).weighed,
    prior: prior.map((sd) => ({ at: 0, sd })),
    steps: prior.map(() => 0.02),
    bounds: prior.map(() => ({ min: -MOST, max: MOST, move: 2 * MOST })),
    rounds: ROUNDS,
    near: prior.map(() => 1e-5),
  });
  if (!fit) return null;
  const { plain } = misses(fit.x, asked);
  const known = (variance: number, day: number, before: number) =>
    Math.min(before, Math.hypot(Math.sqrt(Math.max(0, variance)), day));
  return {
    learnt: {
      vigour: {
        value: Math.exp(fit.x[vigourAt]!),
        cv: known(fit.covariance[vigourAt]![vigourAt]!, F.dayCv.vigour, prior[vigourAt]!),
      },
      holding: {
        value: Math.exp(fit.x[holdingAt]!),
        cv: known(fit.covariance[holdingAt]![holdingAt]!, F.dayCv.holding, prior[holdingAt]!),
      },
    },
    marks: plain.length,
    days: asked.length,
    miss: rootMeanSquare(plain),
    missBefore: rootMeanSquare(
      misses(
        prior.map(() => 0),
        asked,
      ).plain,
    ),
  };
}
