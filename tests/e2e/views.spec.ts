import { check } from './check';
import { awake, copyOf, expect, startBake, test } from './kitchen';
import type { Page } from '@playwright/test';

/** What light and width can change of a page that is there: the rest is the same page, and is looked at once. */
const BY_LIGHT = ['color-contrast', 'link-in-text-block'];
const BY_WIDTH = [...BY_LIGHT, 'target-size', 'scrollable-region-focusable'];

/** By day and dim, wide and narrow. */
async function checkAll(page: Page): Promise<void> {
  // what fades from one to the other has no colour of its own
  await page.emulateMedia({ reducedMotion: 'reduce' });
  const light = (name: 'day' | 'dim') => page.evaluate((to) => document.documentElement.setAttribute('data-light', to), name);
  await check(page);
  await light('dim');
  await check(page, { rules: BY_LIGHT });
  await page.setViewportSize({ width: 320, height: 640 });
  await check(page);
  await light('day');
  await check(page, { rules: BY_WIDTH });
  await page.setViewportSize({ width: 1280, height: 800 });
} // prettier-ignore

/** The addresses of all views, halved: two browsers look at them beside one another. */
const HALVES: readonly ((ids: { readonly formula: string; readonly bake: string; readonly logged: string }) => readonly string[])[] = [
  ({ formula, bake }) => ['/', '/kitchens', '/kitchens/new', '/formulas', `/formulas/${formula}/method`, `/formulas/${formula}/timeline`, `/formulas/${formula}/notes`, `/formulas/${formula}/batch`, `/formulas/${formula}/ladder`, `/bench/${bake}`],
  ({ formula, bake, logged }) => [`/bench/${bake}?at=steps`, `/bench/${bake}?at=log`, `/formulas/${formula}/story`, '/formulas/read', '/ingredients?look=potato-starch&beside=potato-flour', '/kit', '/logbook', `/logbook/${logged}`, `/logbook/${logged}/taste`, `/logbook/compare?bakes=${logged},${bake}`, '/logbook/advice', '/logbook/patterns', '/logbook/learnt', '/k/-/help'],
]; // prettier-ignore

for (const [half, paths] of HALVES.entries())
  test(`every view can be read by everybody, by day and dim, wide and narrow: half ${half + 1}`, async ({
    page,
  }) => {
    test.slow();
    const formula = await copyOf(page, 'Sorghum and teff baton');
    await expect(page.getByTestId('slice')).toBeVisible();
    if (half === 0) await checkAll(page);
    const bake = await startBake(page, formula);
    // of the demo: photographed, tasted, advised
    const logbook = await (await page.request.get('/logbook?order=oldest')).text();
    const logged = /\/logbook\/([0-9a-f-]{36})/.exec(logbook)?.[1] ?? '';
    for (const path of paths({ formula, bake, logged })) {
      await page.goto(path);
      await expect(page.locator('main')).not.toBeEmpty();
      await expect(page.locator('main button:visible, main a:visible').first()).toBeVisible();
      await expect(page.getByText(/^(Looking through this bake|Computing what was)/)).toHaveCount(0);
      await checkAll(page);
    }
    await page.request.post(`/api/k/-/bakes/${bake}/taps`, {
      data: {
        taps: [
          { eventId: crypto.randomUUID(), agoMs: 0, action: { type: 'abandoned', reason: 'only a look' } },
        ],
      },
    });
  });

test('the keys work and are listed; dialogs give the focus back', async ({ page }) => {
  await page.goto('/k/larkspur-lock');
  await awake(page);
  await page.keyboard.press('g');
  await page.keyboard.press('f');
  await expect(page).toHaveURL(/\/formulas$/);
  await page.keyboard.press('Shift+D');
  await expect(page.locator('html')).toHaveAttribute('data-light', 'dim');
  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keyboard shortcuts' });
  await expect(keys).toBeVisible();
  await check(page);
  // who dictates, or rests a hand on the keys, turns single keys off
  const single = keys.getByRole('checkbox', { name: /Single keys/ });
  await single.uncheck();
  await page.keyboard.press('Escape');
  await expect(keys).toBeHidden();
  await page.keyboard.press('Shift+D');
  await expect(page.locator('html')).toHaveAttribute('data-light', 'dim');
  await page.getByRole('button', { name: /^Keyboard shortcuts/ }).click();
  await single.check();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'New formula' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'A new formula' })).toBeVisible();
  await check(page);
  await page.getByRole('button', { name: 'Create it' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Give it a name.' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'New formula' })).toBeFocused();
  // other tests fill the shelf
  await page.getByRole('searchbox', { name: /formulas/ }).fill('Poppy rings');
  await expect(page).toHaveURL(/find=Poppy/);
  await page.getByRole('link').filter({ hasText: 'Poppy rings' }).first().click();
  await awake(page);
  const tool = page.getByRole('button', { name: 'Set the water' });
  await tool.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(tool).toBeFocused();
});
