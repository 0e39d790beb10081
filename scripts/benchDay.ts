/** The part of ./crumb bench about planning a day: how soon there is a plan, and how soon it is as good as it gets. */
import { checkPlan } from '@/core/day/checkPlan';
import { scoreOf, type Score } from '@/core/day/score';
import { searchDay } from '@/core/day/searchDay';
import { randomDay } from '@/core/day/testDays';
import { quantileOf } from '@/core/numeric/quantile';
import type { Findings } from './findings';
import { highsDay } from './highsDay';

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

const SMALL = { batches: 3, steps: 3, slots: 84, ovens: 1, people: 1 };
const LINEAR = ['unplaced', 'late', 'unwanted', 'old', 'taste'] as const;
/** As good or better, but for what HiGHS is not asked: ovens that are hot for nothing. */
const isAsGood = (score: Score, than: Score): boolean => {
  const part = LINEAR.find((each) => score[each] !== than[each]);
  return !part || score[part] < than[part];
};

/** The same days by HiGHS: how long it takes to its plan, as a multiple of how long the search takes to one as good. */
async function besideHighs(found: Findings): Promise<void> {
  const told = async (what: string, size: typeof TYPICAL, seeds: readonly number[], limitS: number) => {
    const ratios: number[] = [];
    let better = 0;
    let proved = 0;
    for (const seed of seeds) {
      const problem = randomDay(seed, size);
      const theirs = await highsDay(problem, limitS);
      if (theirs && checkPlan(problem, theirs.plan).length > 0) throw new Error(`HiGHS breaks a rule: ${seed}`);
      const score = theirs ? scoreOf(problem, theirs.plan) : null;
      const began = performance.now();
      for (const step of searchDay(problem, 1, 1_000_000)) {
        const ms = performance.now() - began;
        if (!score || isAsGood(step.score, score)) {
          ratios.push((theirs?.ms ?? 1000 * limitS) / ms);
          break;
        }
        if (ms > 10_000) {
          better += 1;
          break;
        }
      }
      proved += theirs?.isOptimal ? 1 : 0;
    }
    const times = ratios.length > 0 ? `${Math.min(...ratios).toFixed(0)} to ${Math.max(...ratios).toFixed(0)} times as long` : 'never';
    found.add(`${what}, by HiGHS, ${limitS} s at most`, `${times}; to its end in ${proved} of ${seeds.length}, better in ${better}`, '> 1');
  };
  await told('… the plan of a small day (three batches of three)', SMALL, [4, 5, 6, 7], 60);
  await told('… of a day of four batches', TYPICAL, [1, 2, 3], 60);
} // prettier-ignore

export async function benchDay(found: Findings): Promise<void> {
  const told = (all: readonly number[]) => `${quantileOf(all, 0.5).toFixed(0)} / ${quantileOf(all, 0.95).toFixed(0)} ms`;
  const typical = Array.from({ length: 12 }, (_, at) => looked(at + 1, TYPICAL, 4000));
  found.add('a day of four batches: first plan, p50 / p95', told(typical.map(({ firstMs }) => firstMs)), '< 150 ms');
  found.add('… within 2 % of the best of four seconds, p50 / p95', told(typical.map(({ nearMs }) => nearMs)), '< 1000 ms');
  const large = Array.from({ length: 3 }, (_, at) => looked(at + 1, LARGE, 12_000));
  found.add('a day of twenty batches, two ovens, two people: first plan, p50 / p95', told(large.map(({ firstMs }) => firstMs)), '–');
  found.add('… within 2 % of the best of twelve seconds, p50 / p95', told(large.map(({ nearMs }) => nearMs)), '< 5000 ms');
  await besideHighs(found);
} // prettier-ignore
