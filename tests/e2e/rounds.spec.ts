import type { Page } from '@playwright/test';
import { eightRolls } from '../../src/core/batch/testBatch';
import { newStep } from '../../src/core/method';
import { rollsWithMethod } from '../../src/core/run/testRuns';
import { tap, type Baking } from './bakeOfOwn';
import { check } from './check';
import { kitchenOfOwn } from './dayKitchen';
import { awake, expect, test } from './kitchen';

/** Six rings, boiled two at a time and turned once, then baked. */
async function ringsOfOwn(page: Page): Promise<Baking> {
  const own = await kitchenOfOwn(page);
  const steps = [
    { ...newStep('mix', 'mix'), minS: 300 },
    { ...newStep('boil', 'boil'), minS: 30, sides: 2, atATime: 2 },
    { ...newStep('bake', 'bake'), minS: 1500, tempC: 220 },
  ];
  const made = await page.request.post(`${own.api}/formulas`, {
    data: { requestId: crypto.randomUUID(), formula: { ...rollsWithMethod(), name: 'Rings', steps } },
  });
  const { id: formula } = (await made.json()) as { id: string };
  const answer = await page.request.post(`${own.api}/bakes`, {
    data: { requestId: crypto.randomUUID(), formulaId: formula, revision: 1, batch: { ...eightRolls, pieces: 6 } },
  });
  expect(answer.status()).toBe(201);
  return { ...own, formula, bake: ((await answer.json()) as { id: string }).id };
} // prettier-ignore

interface Log {
  readonly events: readonly { readonly action: { readonly type: string; readonly stepId?: string } }[];
}
async function logOf(page: Page, { api, bake }: Baking): Promise<string[]> {
  const log = (await (await page.request.get(`${api}/bakes/${bake}?after=0`)).json()) as Log;
  return log.events.map(({ action: { type, stepId } }) => (stepId ? `${type} ${stepId}` : type));
}

test('boiled rings by loads and sides, one press each; a trial sets the bake anew; the record says it event by event', async ({
  page,
}) => {
  const own = await ringsOfOwn(page);
  await tap(page, own, { type: 'stepDone', stepId: 'mix' });
  await page.goto(`${own.at}/bench/${own.bake}?at=steps`);
  await awake(page);
  const press = async (name: string | RegExp) => {
    const button = page.getByRole('button', { name });
    await expect(button).toBeEnabled();
    // a knuckle that bounces presses nothing twice, and a test is quicker than one
    await page.waitForTimeout(720);
    await button.click();
  };
  for (let load = 1; load <= 3; load++) {
    if (load > 1) await expect(page.getByTestId('hot-again')).toContainText('hot again in 0:');
    await press(`Load ${load} of 3 in: 30 s`);
    await expect(page.getByRole('timer')).toBeVisible();
    await press('Turn: side 2, 30 s');
    if (load === 1) await check(page);
    await press(`Load ${load} of 3 out`);
  }
  await expect(page.getByRole('heading', { name: 'Bake' })).toBeVisible();
  await page.getByRole('button', { name: 'One first, to see' }).click();
  await expect(page.getByText('A trial: one piece is in')).toBeVisible();
  await page.getByRole('button', { name: 'It is out: how was it?' }).click();
  const dialog = page.getByRole('dialog', { name: 'How was the trial?' });
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText('Say one of the two.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Too dark' }).click();
  await check(page);
  await dialog.getByRole('button', { name: 'Save' }).click();
  const answer = page.getByTestId('after-look');
  await expect(answer).toContainText('205 °C');
  await expect(answer).toContainText('it was too dark');
  await answer.getByRole('button', { name: 'Set them so' }).click();
  await expect(answer).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Step now' })).toContainText('205 °C');
  const load = (at: number) =>
    [1, 2].flatMap((side) => [`timerStarted boil-${at}-${side}`, `stepDone boil-${at}-${side}`]);
  await expect
    .poll(() => logOf(page, own))
    .toEqual([
      'stepDone mix',
      ...load(1),
      ...load(2),
      ...load(3),
      'trialBegun bake',
      'looked bake',
      'setAnew',
    ]);
  await tap(page, own, { type: 'abandoned', reason: 'a test' });
});

test('the last press can be taken back until the next: a weighing, and a turn with both that it did', async ({ page }) => {
  const own = await ringsOfOwn(page);
  await page.goto(`${own.at}/bench/${own.bake}?at=weigh`);
  await awake(page);
  const target = page.getByTestId('target');
  const first = (await target.textContent()) ?? '';
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  await expect(target).not.toHaveText(first);
  const bar = page.getByTestId('undo-bar');
  await expect(bar).toContainText(' in');
  await check(page);
  await bar.getByRole('button', { name: 'Take it back' }).click();
  await expect(target).toHaveText(first);
  await expect(bar).toHaveCount(0);
  await tap(page, own, { type: 'stepDone', stepId: 'mix' });
  await page.goto(`${own.at}/bench/${own.bake}?at=steps`);
  await awake(page);
  await page.getByRole('button', { name: 'Load 1 of 3 in: 30 s' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.waitForTimeout(720);
  await page.getByRole('button', { name: 'Turn: side 2, 30 s' }).click();
  await expect(page.getByRole('button', { name: 'Load 1 of 3 out' })).toBeVisible();
  await bar.getByRole('button', { name: 'Take it back' }).click();
  await expect
    .poll(async () => (await logOf(page, own)).filter((each) => each.includes('boil')))
    .toEqual(['timerStarted boil-1-1', 'stepDone boil-1-1', 'timerStarted boil-1-2', 'timerCleared boil-1-2', 'stepReopened boil-1-1', 'timerStarted boil-1-1']);
  await tap(page, own, { type: 'abandoned', reason: 'a test' });
}); // prettier-ignore
