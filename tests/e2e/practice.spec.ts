import type { Page } from '@playwright/test';
import { check } from './check';
import { kitchenOfOwn } from './dayKitchen';
import { awake, expect, test } from './kitchen';

const clockMin = async (page: Page): Promise<number> => {
  const [, hours = '0', minutes = '0'] = /(\d+):(\d+)/.exec((await page.getByTestId('practice-clock').textContent()) ?? '') ?? [];
  return 60 * Number(hours) + Number(minutes);
}; // prettier-ignore

/** Presses what the step waits for; what is not weighed is in all the same. */
async function goOn(page: Page): Promise<void> {
  await page.locator('[data-primary]:enabled').click();
  const isIn = page.getByTestId('missing-first').getByRole('button', { name: 'It is in' });
  if (await isIn.isVisible()) await isIn.click();
}

async function toStep(page: Page, name: string): Promise<void> {
  const here = page.getByRole('region', { name: 'Step now' }).getByRole('heading', { level: 2 });
  for (let pressed = 0; (await here.textContent()) !== name; pressed += 1) {
    expect(pressed, `on the way to ${name}`).toBeLessThan(20);
    await goOn(page);
  }
}

test('a bake is practised: weighed on a scale that is played, risen and baked in a minute with old yeast, and nothing of it is left', async ({
  page,
}) => {
  test.slow();
  const own = await kitchenOfOwn(page);
  const shelf = await (await page.request.get(`${own.at}/formulas`)).text();
  const formula = /\/formulas\/([0-9a-f-]{36})"(?:(?!<\/a>).)*?Millet and linseed tin loaf/s.exec(shelf)?.[1] ?? '';
  // of this kitchen alone: others may be baking beside it
  const running = async () => {
    const { timers } = (await (await page.request.get(`${own.api}/timers`)).json()) as { timers: { kitchen: string }[] };
    return timers.filter(({ kitchen }) => own.at.endsWith(`/${kitchen}`));
  };
  const before = await running();
  await page.goto(`${own.at}/practice/${formula}`);
  await awake(page);
  await check(page);
  await page.getByLabel('The yeast is old').check();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByTestId('by-scale')).toBeVisible();
  const thing = page.getByTestId('by-scale').getByRole('heading');
  await expect(thing).toHaveText('Psyllium husk');
  await expect(page.getByTestId('scale-says')).toBeEmpty();
  // poured until a tenth is missing, then by the spoon: taken by itself
  const pour = page.getByRole('button', { name: 'Pour (hold)' });
  const toGo = async () => Number(/[\d.]+/.exec((await page.getByTestId('to-go').textContent()) ?? '')?.[0]);
  await pour.dispatchEvent('pointerdown');
  await expect.poll(toGo, { intervals: [50] }).toBeLessThan(13);
  await pour.dispatchEvent('pointerup');
  await expect(page.getByRole('button', { name: /^Take / })).toBeEnabled();
  const spoons = Math.round((await toGo()) / 0.9);
  expect(spoons).toBeGreaterThan(2);
  for (let spoon = 0; spoon < spoons; spoon += 1) await page.getByRole('button', { name: 'A spoon in' }).click();
  await expect(thing).toHaveText('Water');
  await check(page);

  await page.getByRole('tab', { name: 'Steps' }).click();
  // shaped, and its clock runs
  await toStep(page, 'Proof');
  await expect(page.getByTestId('practice-jar')).toContainText('The jar stands at');
  const jar = async () => Number(/\+(-?\d+) %/.exec((await page.getByTestId('practice-jar').textContent()) ?? '')?.[1]);
  const from = await clockMin(page);
  await page.getByRole('radio', { name: '× 600' }).check();
  // up, it rings and goes no faster than real
  await expect(page.getByRole('radio', { name: '× 1', exact: true })).toBeChecked({ timeout: 20_000 });
  await expect(page.getByText('Time is up', { exact: false }).first()).toBeVisible();
  // a clock on the wall: a proof may go over midnight
  const proofMin = ((await clockMin(page)) - from + 24 * 60) % (24 * 60);
  expect(proofMin).toBeGreaterThan(30);
  expect(proofMin).toBeLessThan(100);
  // half of the yeast: it is behind what the bench expects, and the mark says so
  const seen = await jar();
  expect(seen).toBeGreaterThan(5);
  await check(page);

  // what heats is hot: it is in
  await toStep(page, 'Bake');
  const core = page.getByTestId('live-probes').getByText('Core');
  await expect(core).toBeVisible();
  const coreC = async () => Number(/[\d.]+/.exec((await page.getByTestId('live-probes').getByRole('button').filter({ hasText: 'Core' }).textContent()) ?? '')?.[0]);
  const toTheBell = async () => {
    await page.getByRole('radio', { name: '× 600' }).check();
    await expect(page.getByRole('radio', { name: '× 1', exact: true })).toBeChecked({ timeout: 20_000 });
  };
  await toTheBell();
  const first = await coreC();
  expect(first).toBeGreaterThan(30);
  expect(first).toBeLessThan(80);
  // the water comes out, and it bakes on
  await goOn(page);
  await expect(page.getByRole('region', { name: 'Step now' })).toContainText('Bake on');
  await toTheBell();
  expect(await coreC()).toBeGreaterThan(85);
  expect(await coreC()).toBeLessThan(102);
  await page.setViewportSize({ width: 390, height: 844 });
  await check(page);

  await page.getByRole('button', { name: 'End practice' }).click();
  // two presses are two when they are apart
  await page.waitForTimeout(720);
  await page.getByRole('button', { name: 'Yes, end it' }).click();
  await expect(page.getByTestId('practice-end')).toContainText('Half of the yeast was dead');
  await expect(page.getByTestId('practice-end')).toContainText('Proof:');
  // nothing of it is anywhere
  expect(await running()).toEqual(before);
  for (const place of ['bench', 'logbook']) expect(await (await page.request.get(`${own.at}/${place}`)).text()).not.toContain('Millet and linseed tin loaf</');
  await page.getByRole('button', { name: 'Once more' }).click();
  await expect(page.getByRole('heading', { name: 'Practise: Millet and linseed tin loaf' })).toBeVisible();
}); // prettier-ignore
