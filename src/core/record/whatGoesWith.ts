import { mean, sampleRankCorrelation, sampleVariance } from 'simple-statistics';
import { Z80 } from '../numeric/normal';
import { MADE, type BakeFigures, type Made } from './bakeFigures';

/** Bakes in two halves by one figure of how they were made, and how either half was scored. */
export interface GoesWith {
  readonly figure: Made;
  readonly lower: { readonly upTo: number; readonly count: number; readonly score: number };
  readonly upper: { readonly from: number; readonly count: number; readonly score: number };
  /** Of the upper half over the lower, with its 80 % interval. */
  readonly difference: { readonly value: number; readonly low: number; readonly high: number };
  /** Rank correlation over all of them, −1 … 1. */
  readonly rank: number;
  /** So small, or so alike, that chance alone would do it more often than once in five. */
  readonly isChance: boolean;
  readonly points: readonly { readonly at: number; readonly score: number }[];
}

/** Fewer bakes than this in a half say nothing. */
const LEAST_HALF = 3;
/** One taster is off by so much from day to day: a half whose scores are all alike is not known better for that. */
const SCORE_SD = 0.5;

/**
 * What goes with better scores: of each figure the halves of its bakes, Welch's interval for their difference. What goes with something need not
 * make it: a warm room comes with summer's flour. Looked at are many figures at once, so one or two look so by chance.
 *
 * @returns the largest difference for its doubt first; figures that hardly vary, or were hardly ever told, are not in it
 */
export function whatGoesWith(bakes: readonly { readonly figures: Pick<BakeFigures, 'made'>; readonly score: number | null }[]): GoesWith[] {
  return MADE.flatMap((figure): GoesWith[] => {
    const points = bakes
      .flatMap(({ figures, score }) => {
        const at = figures.made[figure];
        return at === null || score === null ? [] : [{ at, score }];
      })
      .sort((a, b) => a.at - b.at);
    const [lower, upper] = halves(points);
    if (lower.length < LEAST_HALF || upper.length < LEAST_HALF) return [];
    const scores = (half: typeof points) => half.map(({ score }) => score);
    const [low, high] = [mean(scores(lower)), mean(scores(upper))];
    const doubt = (half: typeof points) => Math.max(sampleVariance(scores(half)), SCORE_SD ** 2) / half.length;
    const sd = Math.sqrt(doubt(lower) + doubt(upper));
    const value = high - low;
    const rank = sampleRankCorrelation(points.map(({ at }) => at), points.map(({ score }) => score));
    return [{
      figure,
      lower: { upTo: lower.at(-1)!.at, count: lower.length, score: low },
      upper: { from: upper[0]!.at, count: upper.length, score: high },
      difference: { value, low: value - Z80 * sd, high: value + Z80 * sd },
      // scores that are all alike have no ranks
      rank: Number.isFinite(rank) ? rank : 0,
      isChance: Math.abs(value) < Z80 * sd,
      points,
    }];
  }).sort((a, b) => strength(b) - strength(a));
} // prettier-ignore

const strength = ({ difference: { value, low, high } }: GoesWith): number => Math.abs(value) / (high - low);

/** Two halves that do not share a value: parted where that leaves them most alike in size. */
function halves<T extends { readonly at: number }>(sorted: readonly T[]): [T[], T[]] {
  let best = 0;
  for (let at = 1; at < sorted.length; at += 1) {
    // a difference no scale or clock tells is none
    if (sorted[at]!.at - sorted[at - 1]!.at <= 1e-6 * Math.abs(sorted[at]!.at)) continue;
    if (Math.abs(at - sorted.length / 2) < Math.abs(best - sorted.length / 2)) best = at;
  }
  return [sorted.slice(0, best), sorted.slice(best)];
}
