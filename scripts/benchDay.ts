/** The part of ./crumb bench about planning a day: how soon there is a plan, and how soon it is as good as it gets. */
import { ORDINARY_LIFE } from '@/core/day/lifeDocument';
import type { DayProblem } from '@/core/day/dayProblem';
import { batchWays, formulaKey, kitchenProblem } from '@/core/day/kitchenDay';
import { NO_STARTERS } from '@/core/starter/starterDocument';
import { checkPlan } from '@/core/day/checkPlan';
import { scoreOf, type Score } from '@/core/day/score';
import { searchDay } from '@/core/day/searchDay';
import { randomDay } from '@/core/day/testDays';
import { quantileOf } from '@/core/numeric/quantile';
import { DEMO, DEMO_BREADS, clockMs, dayBatch, demoFormula } from '../tests/kitchenDays';
import type { Findings } from './findings';
import { highsDay, LINEAR_PARTS } from './highsDay';

const TYPICAL = { batches: 4, steps: 10, slots: 240, ovens: 1, people: 1 };
const LARGE = { batches: 20, steps: 10, slots: 288, ovens: 2, people: 2 };
const PARTS = [...LINEAR_PARTS, 'idle'] as const;

/** Within two per cent of the best, in the first part that differs. */
function isNear(score: Score, best: Score): boolean {
  const part = PARTS.find((each) => score[each] !== best[each]);
  return !part || score[part] - best[part] <= 0.02 * Math.max(1, best[part]);
}

/** Twenty batches of what the demo kitchen bakes, wanted from seven to four, by two people with two ovens of a kind, from the afternoon before. */
function bakersDay(seed: number): DayProblem {
  const [oven] = DEMO.kit.ovens;
  const kit = { ...DEMO.kit, ovens: [...DEMO.kit.ovens, { ...oven!, id: `${oven!.id}-2` }] };
  const batches = Array.from({ length: 20 }, (_, at) =>
    dayBatch(`b${at}`, DEMO_BREADS[(at * 7 + seed * 3) % DEMO_BREADS.length]!, `${String(7 + ((at * 5 + seed) % 9)).padStart(2, '0')}:00`),
  );
  const all = {
    ...DEMO, kit, day: { batches, lit: [] }, life: { ...ORDINARY_LIFE, people: 2, otherHours: true }, zone: 'Europe/Lisbon', nowMs: clockMs('14:00', '2026-11-27'),
    formulas: new Map(batches.map((batch) => [formulaKey(batch), demoFormula(batch.formulaId)])), bakes: new Map<string, never>(), starters: NO_STARTERS,
  };
  const made = kitchenProblem(all, (batch, formula) => batchWays(formula, batch, { kit, book: DEMO.book }));
  if (!made.ok || !made.value) throw new Error('there is no such day');
  return made.value.day.problem;
} // prettier-ignore

/** Looks for so long: when the first plan was there, and when one within two per cent of the last. */
function looked(problem: DayProblem, forMs: number): { firstMs: number; nearMs: number } {
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
/** As good or better, but for what HiGHS is not asked: ovens that are hot for nothing. */
const isAsGood = (score: Score, than: Score): boolean => {
  const part = LINEAR_PARTS.find((each) => score[each] !== than[each]);
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
  const typical = Array.from({ length: 12 }, (_, at) => looked(randomDay(at + 1, TYPICAL), 4000));
  found.add('a day of four batches: first plan, p50 / p95', told(typical.map(({ firstMs }) => firstMs)), '< 150 ms');
  found.add('… within 2 % of the best of four seconds, p50 / p95', told(typical.map(({ nearMs }) => nearMs)), '< 1000 ms');
  const large = Array.from({ length: 3 }, (_, at) => looked(randomDay(at + 1, LARGE), 12_000));
  found.add('a day of twenty batches, two ovens, two people: first plan, p50 / p95', told(large.map(({ firstMs }) => firstMs)), '–');
  found.add('… within 2 % of the best of twelve seconds, p50 / p95', told(large.map(({ nearMs }) => nearMs)), '< 5000 ms');
  const bakers = Array.from({ length: 4 }, (_, at) => looked(bakersDay(at + 1), 12_000));
  found.add('… twenty of the demo’s breads: first plan, p50 / p95', told(bakers.map(({ firstMs }) => firstMs)), '–');
  found.add('… within 2 % of its best of twelve seconds, p50 / p95', told(bakers.map(({ nearMs }) => nearMs)), '< 5000 ms');
  await besideHighs(found);
} // prettier-ignore
