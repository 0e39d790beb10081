import { check } from './check';
import { awake, copyOf, expect, startBake, test } from './kitchen';

for (const light of ['day', 'dim'] as const) {
  for (const [width, height] of [
    [1280, 800],
    [320, 640],
  ] as const) {
    test(`every view can be read by everybody: ${light}, ${width} wide`, async ({
      page,
      context,
      baseURL,
    }) => {
      test.slow();
      await context.addCookies([{ name: 'crumb-view', value: `${light}.g.C`, url: baseURL ?? '' }]);
      await page.setViewportSize({ width, height });
      const id = await copyOf(page, 'Sorghum and teff baton');
      await expect(page.getByTestId('slice')).toBeVisible();
      await check(page);
      const bake = await startBake(page, id);
      const logged = await page.request
        .get('/logbook')
        .then(async (answer) => /\/logbook\/([0-9a-f-]{36})/.exec(await answer.text())?.[1]);
      for (const path of [
        '/',
        '/kitchens',
        '/kitchens/new',
        '/formulas',
        `/formulas/${id}/method`,
        `/formulas/${id}/timeline`,
        `/formulas/${id}/notes`,
        `/formulas/${id}/batch`,
        `/bench/${bake}`,
        `/bench/${bake}?at=steps`,
        `/bench/${bake}?at=log`,
        `/formulas/${id}/story`,
        '/formulas/read',
        '/ingredients?look=potato-starch&beside=potato-flour',
        '/kit',
        '/logbook',
        `/logbook/${logged}`,
        '/k/-/help',
      ]) {
        await page.goto(path);
        await expect(page.locator('main')).not.toBeEmpty();
        await expect(page.locator('main button:visible, main a:visible').first()).toBeVisible();
        await check(page);
      }
      await page.request.post(`/api/k/-/bakes/${bake}/taps`, {
        data: {
          taps: [
            { eventId: crypto.randomUUID(), agoMs: 0, action: { type: 'abandoned', reason: 'only a look' } },
          ],
        },
      });
    });
  }
}

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
  await page.getByRole('link').filter({ hasText: 'Poppy rings' }).first().click();
  await awake(page);
  const tool = page.getByRole('button', { name: 'Set the water' });
  await tool.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(tool).toBeFocused();
});
