/**
 * The core's heavy work as multiples of a fixed loop of floating-point work in the same process, so that machines and hours can be
 * compared: an hour's loaf, a whole what-if, a day's rise and what a keystroke on the sheet asks.
 */
import { riseCurve, type Stay } from '@/core/fermentation';
import type { Formula } from '@/core/formula';
import { finish, newPhase, simulateBake } from '@/core/heat';
import { tinLoaf } from '@/core/heat/testBakes';
import { libraryBook } from '@/core/ingredients';
import { formulaAnswers } from '@/core/notices';
import { quantileOf } from '@/core/numeric/quantile';
import { forecastRun, runOf } from '@/core/run';

/** What it was before the models were made true, on the machine that measured it: medians of three runs. */
export const RATIOS_BEFORE = { loaf: 1.01, whatIf: 1.42, rise: 0.153, sheet: 0.0029 } as const;

/** A day of rising in a cool room. */
export const DAY: Stay = {
  place: 'room',
  tempC: 18,
  durationS: 86_400,
  standing: 'bowl',
  pieceG: 1000,
  pressedOut: 0,
};
/** A 60 min bake of a 900 g loaf and three hours of cooling. */
export const LOAF = tinLoaf({
  phases: [newPhase('oven', 3600, 200, { inTin: true }), newPhase('rack', 10_800, 0)],
});

/** About 100 ms on an ordinary core: an exponential, a root, a division and a store a turn. */
function fixedLoop(): number {
  const cells = new Float64Array(256).fill(1);
  let sum = 0;
  for (let turn = 0; turn < 4_000_000; turn += 1) {
    const at = turn & 255;
    const next = Math.exp(-cells[at]! * 0.5) + Math.sqrt(cells[(at + 1) & 255]!) / (1 + cells[at]!);
    cells[at] = next;
    sum += next;
  }
  return sum;
}

const median = (runs: number, work: () => unknown): number => {
  const times = Array.from({ length: runs }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
  return quantileOf(times, 0.5);
};

/** Each work's median over the loop's, interleaved with it so that a slow minute weighs on both. */
export function coreRatios(formula: Formula): Record<'loaf' | 'whatIf' | 'rise' | 'sheet', number> {
  const { totals, consistency } = formulaAnswers(formula, libraryBook);
  const run = runOf(formula, libraryBook, totals, consistency);
  if (!run.ok || !consistency) throw new Error('the loaf has no run');
  const { leavening } = run.value.rise;
  const works = {
    loaf: [6, () => simulateBake(LOAF)],
    whatIf: [3, () => finish(forecastRun(run.value, consistency))],
    rise: [20, () => riseCurve({ leavening, doughC: 26, stays: [DAY] })],
    sheet: [40, () => formulaAnswers(formula, libraryBook)],
  } as const;
  const ratio = ([runs, work]: readonly [number, () => unknown]): number => {
    work();
    const before = median(3, fixedLoop);
    const took = median(runs, work);
    return took / ((before + median(3, fixedLoop)) / 2);
  };
  fixedLoop();
  return {
    loaf: ratio(works.loaf),
    whatIf: ratio(works.whatIf),
    rise: ratio(works.rise),
    sheet: ratio(works.sheet),
  };
}
