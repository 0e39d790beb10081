/** The part of ./crumb bench about time and heat: core times on one core, and frames while a step's end is dragged. */
import type { Page } from '@playwright/test';
import { riseCurve } from '@/core/fermentation';
import type { Formula } from '@/core/formula';
import { simulateBake, finish } from '@/core/heat';
import { libraryBook } from '@/core/ingredients';
import { quantileOf } from '@/core/numeric/quantile';
import { formulaAnswers } from '@/core/notices';
import { forecastRun, runOf } from '@/core/run';
import { rollsWithMethod } from '@/core/run/testRuns';
import { coreRatios, DAY, LOAF, RATIOS_BEFORE } from './benchRatio';
import type { Findings } from './findings';
import { openQuiet } from './quietPage';

type Timed = (runs: number, work: () => unknown) => string;

export function benchCore(formula: Formula, timed: Timed, found: Findings): void {
  const { totals, consistency } = formulaAnswers(formula, libraryBook);
  const run = runOf(formula, libraryBook, totals, consistency);
  if (!run.ok || !consistency) throw new Error('the loaf has no run');
  const { leavening } = run.value.rise;
  found.add(
    '24 h rise with its interval, p50 / p95',
    timed(40, () => riseCurve({ leavening, doughC: 26, stays: [DAY] })),
    '< 20 ms',
  );
  found.add(
    'an hour’s loaf and three hours of cooling, 2-D, p50 / p95',
    timed(12, () => simulateBake(LOAF)),
    '< 150 ms',
  );
  found.add(
    'a whole what-if with all draws, p50 / p95',
    timed(5, () => finish(forecastRun(run.value, consistency))),
    '< 1000 ms',
  );
  const ratios = coreRatios(rollsWithMethod());
  for (const name of ['loaf', 'whatIf', 'rise', 'sheet'] as const)
    found.add(
      `${name}, over a fixed loop of floating-point work (before the models were made true: ${RATIOS_BEFORE[name]})`,
      ratios[name].toPrecision(3),
      `< ${(1.3 * RATIOS_BEFORE[name]).toPrecision(3)}`,
    );
}

/** Frames while a bake's end is dragged to and fro. */
export async function benchDrag(page: Page, url: string, found: Findings): Promise<void> {
  await openQuiet(page, url);
  await page.getByTestId('run-set').waitFor();
  const handle = page.getByRole('slider', { name: /^How long: Bake/ }).first();
  await handle.scrollIntoViewIfNeeded();
  const box = await handle.boundingBox();
  if (!box) throw new Error('there is nothing to drag');
  // as text: the compiler's helpers do not exist in the page
  await page.evaluate(`
    window.gaps = [];
    let before = performance.now();
    requestAnimationFrame(function frame(now) {
      window.gaps.push(now - before);
      before = now;
      requestAnimationFrame(frame);
    });
  `);
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + 12, y);
  await page.mouse.down();
  for (let move = 0; move < 120; move += 1) {
    await page.mouse.move(box.x + 12 + 40 * Math.sin(move / 10), y);
  }
  const shown = await page.getByTestId('computing').textContent();
  await page.mouse.up();
  const gaps = await page.evaluate(() => (window as unknown as { gaps: number[] }).gaps.slice(5));
  found.add(
    `dragging a step’s end, frame to frame, p50 / p95 (it says “${shown?.trim()}”)`,
    `${quantileOf(gaps, 0.5).toFixed(0)} / ${quantileOf(gaps, 0.95).toFixed(0)} ms`,
    '17 ms is 60 a second',
  );
}
