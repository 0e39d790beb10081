import { bakeOfOwn, stepOf, tap } from './bakeOfOwn';
import { check } from './check';
import { awake, expect, test } from './kitchen';

const SIZES = [
  [390, 844], [844, 390], [820, 1180], [1180, 820], [320, 640],
] as const; // prettier-ignore

test('a proof says when it is ready, and anew with a mark; its clock and the next press are on the screen at every size', async ({
  page,
}) => {
  const own = await bakeOfOwn(page);
  const proof = (await stepOf(page, own, 'proof'))!;
  for (const kind of ['bloom', 'mix', 'rest', 'shape'])
    await tap(page, own, { type: 'stepDone', stepId: await stepOf(page, own, kind) });
  await tap(page, own, { type: 'timerStarted', stepId: proof, durationS: 2700 });
  await page.goto(`${own.at}/bench/${own.bake}?at=steps`);
  await awake(page);
  const forecast = page.getByTestId('rise-forecast');
  await expect(forecast).toContainText('+50 %');
  await expect(forecast).toContainText('Mark the rise, and this moves');
  await check(page);
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height });
    await page.evaluate(() => window.scrollTo(0, 0));
    const done = page.getByRole('button', { name: 'Done', exact: true });
    await expect(done).toBeInViewport({ ratio: 1 });
    await expect(page.getByTestId('clock')).toBeInViewport({ ratio: 1 });
    const [clock, button] = await Promise.all([page.getByTestId('clock').locator('..').boundingBox(), done.boundingBox()]);
    const apart = button!.y >= clock!.y + clock!.height || height < 480;
    expect(apart, `${width} × ${height}: the press does not lie over the clock`).toBe(true);
  }
  // with a mark it is asked anew; seconds after it began that tells nothing yet (by how much it moves: riseNow.test.ts)
  await page.getByRole('button', { name: 'Mark the rise' }).click();
  await page.getByRole('button', { name: '+25 %' }).click();
  await expect(forecast).not.toContainText('Mark the rise, and this moves');
  await expect(page.getByTestId('rise-marks')).toContainText('+25 %');
  // of what rises no more nothing is told
  await tap(page, own, { type: 'stepDone', stepId: proof });
  await expect(forecast).toBeHidden();
  await tap(page, own, { type: 'abandoned', reason: '' });
}); // prettier-ignore
