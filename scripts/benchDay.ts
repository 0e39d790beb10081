/** The part of ./crumb bench about planning a day: how soon there is a plan, and how soon it is as good as it gets. */
import type { Score } from '@/core/day/score';
import { searchDay } from '@/core/day/searchDay';
import { randomDay } from '@/core/day/testDays';
import { quantileOf } from '@/core/numeric/quantile';
import type { Findings } from './findings';

const TYPICAL = { batches: 4, steps: 10, slots: 240, ovens: 1, people: 1 };
const LARGE = { batches: 20, steps: 10, slots: 288, ovens: 2, people: 2 };
const PARTS = ['unplaced', 'late', 'unwanted', 'old', 'taste', 'idle'] as const;

/** Within two per cent of the best, in the first part that differs. */
function isNear(score: Score, best: Score): boolean {
  const part = PARTS.find((each) => score[each] !== best[each]);
  return !part || score[part] - best[part] <= 0.02 * Math.max(1, best[part]);
}

/** Looks for so long: when the first plan was there, and when one within two per cent of the last. */
function looked(seed: number, size: typeof TYPICAL, forMs: number): { firstMs: number; nearMs: number } {
  const problem = randomDay(seed, size);
  const began = performance.now();
  const found: { ms: number; score: Score }[] = [];
  for (const { score } of searchDay(problem, 1, 1_000_000)) {
    const ms = performance.now() - began;
    found.push({ ms, score });
    if (ms > forMs) break;
  }
  const best = found.at(-1)!.score;
  return { firstMs: found[0]!.ms, nearMs: found.find(({ score }) => isNear(score, best))!.ms };
}

export function benchDay(found: Findings): void {
  const told = (all: readonly number[]) => `${quantileOf(all, 0.5).toFixed(0)} / ${quantileOf(all, 0.95).toFixed(0)} ms`;
  const typical = Array.from({ length: 12 }, (_, at) => looked(at + 1, TYPICAL, 4000));
  found.add('a day of four batches: first plan, p50 / p95', told(typical.map(({ firstMs }) => firstMs)), '< 150 ms');
  found.add('… within 2 % of the best of four seconds, p50 / p95', told(typical.map(({ nearMs }) => nearMs)), '< 1000 ms');
  const large = Array.from({ length: 3 }, (_, at) => looked(at + 1, LARGE, 12_000));
  found.add('a day of twenty batches, two ovens, two people: first plan, p50 / p95', told(large.map(({ firstMs }) => firstMs)), '–');
  found.add('… within 2 % of the best of twelve seconds, p50 / p95', told(large.map(({ nearMs }) => nearMs)), '< 5000 ms');
} // prettier-ignore
