import type { Page } from '@playwright/test';
import { awake, carried, cell, closeBake, copyOf, expect, place, saved, test } from './kitchen';

/** What has the focus, by role or tag and name; "nowhere" is what must never be. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const at = document.activeElement;
    if (!at || at === document.body) return 'nowhere';
    return at.getAttribute('aria-label') ?? at.textContent?.trim().slice(0, 60) ?? at.tagName;
  });

/** Tabs on until what is looked for has the focus: what cannot be reached by Tab is not there for who has no mouse. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  const is = (at: string) => (typeof name === 'string' ? at === name : name.test(at));
  for (let press = 0; press < 160; press += 1) {
    const at = await focused(page);
    if (is(at)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`${name} is not reached by Tab`);
}

test('the whole loop with the keyboard alone: formula, batch, bench, log; focus is never nowhere', async ({ page }) => {
  test.slow();
  await copyOf(page, 'Poppy rings');
  // Enter goes down the column of weights, and stays at its end
  await tabTo(page, 'Tapioca starch, weight');
  await page.keyboard.type('210');
  await page.keyboard.press('Enter');
  expect(await focused(page)).toMatch(/, weight$/);
  expect(await focused(page)).not.toBe('Tapioca starch, weight');
  await expect(cell(page, 'Tapioca starch, weight')).toHaveValue('210');
  const last = page.getByTestId('mass').last();
  await last.focus();
  await page.keyboard.press('Enter');
  await expect(last).toBeFocused();
  // a term explains itself where it stands
  await tabTo(page, 'water');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('tooltip')).toContainText('All the water in the dough');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('tooltip')).toHaveCount(0);
  await expect(saved(page)).toBeVisible();
  // places keep the focus where the link was
  await tabTo(page, 'Method');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/method$/);
  expect(await focused(page)).toBe('Method');
  await tabTo(page, 'Make a batch');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/batch/);
  await awake(page);
  await expect.poll(() => focused(page)).not.toBe('nowhere');
  await tabTo(page, 'To the bench');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/bench\//);
  await awake(page);
  await tabTo(page, 'In the bowl');
  await page.keyboard.press('Enter');
  // the next thing to weigh has the focus as soon as it can be pressed, and is said
  await expect.poll(() => focused(page)).toBe('In the bowl');
  await expect(page.getByRole('status').filter({ hasText: 'Now weigh:' })).toBeAttached();
  const tabs = page.getByRole('tablist').getByRole('tab');
  await tabs.first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(tabs.nth(1)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('ArrowRight');
  await expect(tabs.nth(2)).toBeFocused();
  await expect(page.getByRole('tabpanel')).toBeVisible();
  await tabTo(page, 'Close the bake');
  await closeBake(page);
  await expect(page).toHaveURL(/\/logbook\//);
  await expect.poll(() => focused(page)).not.toBe('nowhere');
  await expect(page).toHaveTitle(/^Poppy rings.*: bake/);
}); // prettier-ignore

test('what a screen reader is told: landmarks, headings, names, charts and slices in words, over the whole loop', async ({ page }) => {
  test.slow();
  const id = await copyOf(page, 'Millet and linseed tin loaf');
  await expect(page.getByTestId('slice')).toBeVisible();
  await expect(page).toHaveTitle(/^Millet and linseed tin loaf/);
  await expect(page.getByRole('heading', { level: 1, name: /Millet and linseed tin loaf/ })).toBeAttached();
  await expect(page.getByRole('navigation', { name: 'Places of this formula' }).getByRole('link')).toHaveText([
    'Formula', 'Method', 'Timeline', 'Notes',
  ]); // prettier-ignore
  const said = page.getByRole('complementary', { name: 'What this makes' });
  await expect(said.getByRole('img')).toHaveAccessibleName(
    /The slice to expect: .* high and .* across, pores near .*, top .*, base .*/,
  );
  await expect(said.getByRole('definition').first()).toHaveText(/^\d+\.\d %$/);
  // a change is said once the typing has come to rest
  await cell(page, 'Water, weight').first().fill('400');
  await expect(said.getByRole('status').first()).toHaveText(
    /^[A-Z][a-z, ]+, water \d+\.\d %$/,
  );
  await place(page, 'Timeline');
  await expect(page).toHaveTitle(/: timeline/);
  await expect(
    page.getByRole('img', { name: /over one clock.*The dough can rise by \d+ to \d+ %\..*the middle is at \d+ °C/ }),
  ).toBeVisible();
  await page.goto(`/formulas/${id}/batch`);
  await expect(page).toHaveTitle(/^Millet and linseed tin loaf.*: batch/);
  await expect(page.getByRole('region', { name: 'To weigh' })).toBeVisible();
  await page.goto('/logbook');
  const line = page.getByRole('link', { name: /Millet and linseed tin loaf/ }).first();
  await line.click();
  await expect(page.getByRole('img', { name: /The slice to expect/ })).toBeVisible();
  // every picture, field and button of every page has a name
  for (const path of ['/', '/formulas', `/formulas/${id}`, '/ingredients', '/kit', '/logbook', '/k/-/help']) {
    await page.goto(path);
    await awake(page);
    const nameless = await page
      .locator('main')
      .first()
      .evaluate((main) =>
        [...main.querySelectorAll('button, a, input, select, textarea, [role="img"]')]
          .filter((each) => each.checkVisibility())
          .filter((each) => {
            const labels = 'labels' in each && each.labels instanceof NodeList ? [...each.labels] : [];
            const text = [each.getAttribute('aria-label'), each.textContent, ...labels.map((label) => label.textContent)];
            const by = each.getAttribute('aria-labelledby');
            return !by && text.every((part) => !part?.trim());
          })
          .map((each) => each.outerHTML.slice(0, 120)),
      );
    expect([path, nameless]).toEqual([path, []]);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
  }
}); // prettier-ignore

test('who eats it: said on the formula, in a swap, in the batch and at the bench; never called safe', async ({ page }) => {
  await copyOf(page, 'Poppy rings');
  const card = page.getByRole('complementary', { name: 'What this makes' });
  await expect(card.getByTestId('eaters')).not.toContainText('Not for Lockside order');
  await page.getByRole('button', { name: 'Swap' }).click();
  const dialog = page.getByRole('dialog', { name: 'Swap one for another' });
  await dialog.getByRole('combobox', { name: 'Instead of' }).selectOption('Tapioca starch');
  await dialog.getByRole('combobox', { name: 'use' }).selectOption('Maize starch');
  await expect(dialog.getByTestId('eaters')).toContainText('Not for Lockside order, no maize: maize');
  await dialog.getByRole('button', { name: 'Apply' }).click();
  await expect(card.getByTestId('eaters')).toContainText('Not for Lockside order, no maize');
  await expect(saved(page)).toBeVisible();
  await page.getByRole('button', { name: 'Make a batch' }).click();
  await expect(page.getByTestId('eaters')).toContainText('Not for Lockside order, no maize');
  await page.getByRole('button', { name: 'To the bench' }).click();
  await expect(page.getByTestId('eaters')).toContainText('Not for Lockside order, no maize');
  await page.getByRole('button', { name: 'Extra' }).click();
  await page.getByRole('button', { name: 'Another …' }).click();
  await page.getByPlaceholder(/Type a name/).fill('egg white');
  await page.getByRole('option').first().click();
  await expect(page.getByRole('dialog').getByTestId('eaters')).toContainText('Not for Otto, egg allergy: egg');
  expect(await page.locator('body').innerText()).not.toMatch(/\b(is|are) safe\b|certified safe/i);
}); // prettier-ignore

test('a phone on its side at the bench: the number and its button are in view without scrolling', async ({ page }) => {
  await page.setViewportSize({ width: 844, height: 390 });
  const formula = await copyOf(page, 'Poppy rings');
  await page.goto(`/formulas/${formula}/batch`);
  await page.getByRole('button', { name: 'To the bench' }).click();
  await awake(page);
  await expect(page.getByTestId('target')).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole('button', { name: 'In the bowl', exact: true })).toBeInViewport({ ratio: 1 });
}); // prettier-ignore

test('on a phone the answer comes before the ingredients, and stays in view while they are changed', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await copyOf(page, 'Poppy rings');
  await expect(page.getByTestId('band-rested')).toBeInViewport();
  await expect(page.getByTestId('allergens')).toBeInViewport();
  await page.getByTestId('mass').last().scrollIntoViewIfNeeded();
  await page.getByTestId('mass').last().focus();
  await expect(page.getByTestId('band-rested')).toBeInViewport({ ratio: 1 });
  await carried(page);
}); // prettier-ignore
