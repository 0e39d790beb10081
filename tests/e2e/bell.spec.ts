import type { Page } from '@playwright/test';
import { check } from './check';
import { bakeOfOwn, stepOf, tap } from './bakeOfOwn';
import { expect, test } from './kitchen';

/** The bell is heard at the border of the page: every note that is started is counted. */
async function listen(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const heard = { notes: 0 };
    Object.assign(window, { heard });
    const node = { connect: (to: unknown) => to, gain: { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined }, frequency: { value: 0 } };
    class CountingAudio {
      readonly currentTime = 0;
      readonly destination = {};
      readonly state = 'running';
      resume = () => Promise.resolve();
      createGain = () => node;
      createOscillator = () => ({ ...node, start: () => (heard.notes += 1), stop: () => undefined });
    }
    Object.assign(window, { AudioContext: CountingAudio });
  });
  return () => page.evaluate(() => (window as unknown as { heard: { notes: number } }).heard.notes);
} // prettier-ignore

test('a timer that is up rings on every page, until somebody has heard it', async ({ page }) => {
  const notes = await listen(page);
  const own = await bakeOfOwn(page);
  await tap(page, own, { type: 'timerStarted', stepId: await stepOf(page, own, 'proof'), durationS: 1 });
  for (const path of ['', '/formulas', `/formulas/${own.formula}`, '/day', '/starters', '/ingredients', '/kit', '/logbook', '/help']) {
    await page.goto(own.at + path);
    await expect(page.getByRole('alert').filter({ hasText: 'Time is up' }).first()).toBeVisible();
    await expect.poll(notes).toBeGreaterThanOrEqual(6);
  }
  await expect(page).toHaveTitle(/^\(!\)/);
  await page.goto('/kitchens');
  await expect.poll(notes).toBeGreaterThanOrEqual(6);
  await page.goto(`${own.at}/bench/${own.bake}?at=steps`);
  await expect.poll(notes).toBeGreaterThanOrEqual(6);
  // at its own bench the clock says it, larger: there it is only heard
  const heard = page.getByRole('button', { name: 'Heard: stop ringing' });
  await heard.click();
  await expect(heard).toHaveCount(0);
  // muted here nothing is heard, and it is shown all the same; what a browser does not do is said
  await page.goto(`${own.at}/formulas`);
  await page.getByRole('button', { name: 'The bell' }).click();
  const dialog = page.getByRole('dialog', { name: 'The bell' });
  const before = await notes();
  await dialog.getByRole('button', { name: 'Ring it now' }).click();
  await expect.poll(notes).toBeGreaterThanOrEqual(before + 6);
  await expect(dialog.getByText('A page that is closed')).toBeVisible();
  await dialog.getByRole('checkbox', { name: 'Rings on this device' }).uncheck();
  await check(page);
  await page.reload();
  await expect(page.getByRole('alert').filter({ hasText: 'Time is up' }).first()).toBeVisible();
  expect(await notes()).toBe(0);
  await tap(page, own, { type: 'abandoned', reason: 'a test' });
}); // prettier-ignore

test('a wrong amount is answered and mended; the oven is called while the dough rises; a core that is short', async ({ page }) => {
  await listen(page);
  await page.setViewportSize({ width: 390, height: 844 });
  const own = await bakeOfOwn(page);
  await page.goto(`${own.at}/bench/${own.bake}`);
  const now = page.getByRole('region', { name: 'Weigh now' });
  await expect(now).toBeVisible();
  await page.getByRole('button', { name: /^Millet flour/ }).click();
  await expect(now.getByRole('heading')).toHaveText('Millet flour');
  await page.getByRole('button', { name: 'Other weight' }).click();
  await page.getByTestId('actual').fill('200');
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  const wrong = page.getByTestId('wrong-amount');
  await expect(wrong).toContainText('Too much millet flour');
  await check(page);
  // loaded again it is still asked
  await page.reload();
  await expect(wrong).toContainText('200 g instead of');
  await wrong.getByRole('button', { name: /Put in more: .* water/ }).click();
  await expect(wrong).toHaveCount(0);
  await expect(now.getByRole('heading')).not.toHaveText('Millet flour');
  // the water asks for more than was planned
  await expect(page.getByRole('button', { name: /^Water, / }).last()).toContainText('planned');

  // the proof is nearly over, and the oven is cold
  await tap(page, own, { type: 'timerStarted', stepId: await stepOf(page, own, 'proof'), durationS: 600 });
  for (const kind of ['bloom', 'soak', 'mix', 'rest', 'shape', 'divide', 'bulk', 'grease']) {
    const found = await stepOf(page, own, kind);
    if (found) await tap(page, own, { type: 'stepDone', stepId: found });
  }
  await page.goto(`${own.at}/bench/${own.bake}?at=steps`);
  const oven = page.getByTestId('oven-due');
  await expect(oven).toContainText(/Now: Light .* °C/);
  await check(page);
  await oven.getByRole('button', { name: 'It is on' }).click();
  await expect(oven).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('tab', { name: /Steps/ })).toBeVisible();
  await expect(oven).toHaveCount(0);

  await page.getByRole('list', { name: 'All steps' }).getByRole('button', { name: /Bake/ }).first().click();
  await page.getByRole('button', { name: 'Thermometer' }).click();
  await page.getByTestId('reading').fill('89');
  await page.getByRole('button', { name: 'Save it' }).click();
  await expect(page.getByTestId('reading-answer')).toContainText(/−\d+ °C/);
  await check(page);
  await page.getByRole('button', { name: /Not baked yet: look again in \d min/ }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await expect(page.getByTestId('readings')).toContainText('core 89 °C');
  await tap(page, own, { type: 'abandoned', reason: 'a test' });
  await page.goto(`${own.at}/logbook/${own.bake}`);
  await expect(page.getByText('balanced with flour or water')).toBeVisible();
  await expect(page.getByText('Core read')).toBeVisible();
}); // prettier-ignore
