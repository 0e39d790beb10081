/** The part of ./crumb bench about time and heat: core times on one core, and frames while a step's end is dragged. */
import type { Page } from '@playwright/test';
import { riseCurve, type Stay } from '@/core/fermentation';
import type { Formula } from '@/core/formula';
import { simulateBake, finish, newPhase } from '@/core/heat';
import { tinLoaf } from '@/core/heat/testBakes';
import { libraryBook } from '@/core/ingredients';
import { formulaAnswers } from '@/core/notices';
import { forecastRun, runOf } from '@/core/run';

/** A 60 min bake of a 900 g loaf and three hours of cooling. */
const LOAF = tinLoaf({
  phases: [newPhase('oven', 3600, 200, { inTin: true }), newPhase('rack', 10_800, 0)],
});

type Timed = (runs: number, work: () => unknown) => string;

export function benchCore(formula: Formula, timed: Timed): void {
  const { totals, consistency } = formulaAnswers(formula, libraryBook);
  const run = runOf(formula, libraryBook, totals, consistency);
  if (!run.ok || !consistency) throw new Error('the loaf has no run');
  const day: Stay = {
    place: 'room',
    tempC: 18,
    durationS: 86_400,
    standing: 'bowl',
    pieceG: 1000,
    pressedOut: 0,
  };
  const { leavening } = run.value.rise;
  console.log('time and heat, p50 / p95 ms');
  console.log(
    `  24 h rise with its interval (aim under 20)                            ${timed(40, () => riseCurve({ leavening, doughC: 26, stays: [day] }))}`,
  );
  console.log(
    `  60 min bake + 3 h cooling, 2-D loaf, shipped grid (aim under 150)      ${timed(12, () => simulateBake(LOAF))}`,
  );
  console.log(
    `  a whole what-if with all draws, loaf baked and cooled (aim under 1000) ${timed(5, () => finish(forecastRun(run.value, consistency)))}`,
  );
}

/** Frames while a bake's end is dragged to and fro. */
export async function benchDrag(page: Page, url: string): Promise<void> {
  await page.goto(url, { waitUntil: 'networkidle' });
  await page.getByRole('heading', { name: 'The run' }).scrollIntoViewIfNeeded();
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
  const sorted = [...gaps].sort((a, b) => a - b);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN;
  console.log('dragging a step’s end, ms from frame to frame, p50 / p95 / most (60 a second is 16.7)');
  console.log(
    `  ${at(0.5).toFixed(1)} / ${at(0.95).toFixed(1)} / ${at(1).toFixed(1)}   (${gaps.length} frames; it says “${shown?.trim()}”)`,
  );
}
