import { carried, cell, copyOf, expect, place, saved, test } from './kitchen';

test('more water: percent and hydration follow as you type, and a reload keeps it', async ({ page }) => {
  await copyOf(page, 'Pumpkin-seed supper rolls');
  const water = cell(page, 'Water, weight');
  const before = await page.getByTestId('hydration-poured').innerText();
  await water.fill('450');
  await expect(cell(page, 'Water, percent of the flours')).toHaveValue('100');
  await expect(page.getByTestId('hydration-poured')).toHaveText('100.0 %');
  expect(before).not.toBe('100.0 %');
  await expect(saved(page)).toContainText('version 2');
  await page.reload();
  await expect(water).toHaveValue('450');
  await expect(page.getByTestId('hydration-poured')).toHaveText('100.0 %');
  await cell(page, 'Water, percent of the flours').fill('90');
  await expect(water).toHaveValue('405');
  await expect(saved(page)).toContainText('version 3');
});

test('undo and redo take back whole entries, by keys and by buttons, and are saved too', async ({ page }) => {
  await copyOf(page, 'Pumpkin-seed supper rolls');
  const salt = cell(page, 'Salt, weight');
  await salt.fill('');
  await salt.pressSequentially('10.5');
  await cell(page, 'Sugar, weight').fill('20');
  await page.keyboard.press('Control+z');
  await expect(cell(page, 'Sugar, weight')).toHaveValue('14');
  await expect(salt).toHaveValue('10.5');
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click();
  await expect(salt).toHaveValue('9');
  await page.keyboard.press('Control+Shift+z');
  await expect(salt).toHaveValue('10.5');
  await expect(saved(page)).toBeVisible();
  await page.reload();
  await expect(salt).toHaveValue('10.5');
});

test('what cannot be is refused at its field and changes nothing', async ({ page }) => {
  const id = await copyOf(page, 'Buckwheat hearth round');
  const flour = cell(page, 'Buckwheat flour, weight');
  const trials: [string, RegExp][] = [
    ['-5', /At least 0.01 g/],
    ['0', /take the line away/],
    ['NaN', /can’t read an amount/],
    ['🍞', /can’t read an amount/],
    ['1e9', /not a number|unit/],
    ['900000', /At most 100 kg/],
    ['7 stone', /unit “stone”/],
    ['9'.repeat(100), /Too long/],
  ];
  for (const [text, reason] of trials) {
    await flour.fill(text);
    await expect(page.getByRole('alert').filter({ hasText: reason })).toBeVisible();
    await expect(flour).toHaveAttribute('aria-invalid', 'true');
  }
  await flour.press('Escape');
  await expect(flour).toHaveValue('260');
  await cell(page, 'Water, percent of the flours').first().fill('900');
  await expect(page.getByRole('alert').filter({ hasText: 'At most 400 %' })).toBeVisible();
  await flour.press('Escape');
  await place(page, 'Method');
  await cell(page, 'Step 8, temperature').fill('5000');
  await expect(page.getByRole('alert').filter({ hasText: 'At most 550 °C' })).toBeVisible();
  await cell(page, 'Step 3, time').fill('a while');
  await expect(page.getByRole('alert').filter({ hasText: '45 min, 1 h 15' })).toBeVisible();
  const stored = (await (await page.request.get(`/api/k/-/formulas/${id}`)).json()) as { revision: number };
  expect(stored.revision).toBe(1);

  await page.keyboard.press('Escape');
  await place(page, 'Formula');
  // key by key too: 9 g, 90 g ... on the way to what is refused do not stay
  await flour.press('Control+a');
  await flour.pressSequentially('900000');
  await expect(page.getByRole('alert').filter({ hasText: 'At most 100 kg' })).toBeVisible();
  await expect(page.getByTestId('hydration-poured')).toHaveText('111.0 %');
  await flour.press('Escape');
  await expect(flour).toHaveValue('260');
});

test('lines and steps are put in order with the keyboard alone', async ({ page }) => {
  await copyOf(page, 'Poppy rings');
  const names = () =>
    page
      .locator('[data-line] [data-testid="mass"]')
      .evaluateAll((cells) => cells.map((each) => each.getAttribute('aria-label')));
  const before = await names();
  await cell(page, 'Sorghum flour, weight').press('Alt+ArrowUp');
  expect((await names()).slice(0, 2)).toEqual([before[1], before[0]]);
  // lift with the grip, carry past two lines, set down
  const grip = page.getByRole('button', { name: 'Move Sorghum flour', exact: true });
  await grip.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^Lifted Sorghum flour|^Sorghum flour is at/)).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText('Sorghum flour is at the place of Brown rice flour.')).toBeAttached();
  await page.keyboard.press('Space');
  await expect.poll(names).toEqual(before);
  await place(page, 'Method');
  await cell(page, 'Step 2, what to do').press('Alt+ArrowUp');
  await expect(cell(page, 'Step 1, what to do')).toHaveValue('Let it absorb');
  await expect(saved(page)).toBeVisible();
  await page.reload();
  await expect(cell(page, 'Step 1, what to do')).toHaveValue('Let it absorb');
});

test('a line is carried with the mouse into another part', async ({ page }) => {
  // tall enough that nothing scrolls under the mouse
  await page.setViewportSize({ width: 1280, height: 1500 });
  await copyOf(page, 'Pumpkin-seed supper rolls');
  const from = await page.getByRole('button', { name: 'Move Salt', exact: true }).boundingBox();
  const to = await page.locator('section[aria-label="Worked in at the end"] li').boundingBox();
  if (!from || !to) throw new Error('not on the page');
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y + 30, { steps: 4 });
  await page.mouse.move(to.x + 12, to.y + to.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect(
    page
      .locator('section[aria-label="Worked in at the end"]')
      .getByRole('button', { name: 'Move Salt', exact: true }),
  ).toBeVisible();
  await expect(saved(page)).toContainText('version 2');
});

test('a formula’s story is told in figures, any two states compared, one brought back, one branched; the archive works', async ({
  page,
}) => {
  const id = await copyOf(page, 'Millet and linseed tin loaf');
  await cell(page, 'Salt, weight').fill('12');
  await expect(saved(page)).toContainText('version 2');
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'History' }).click();
  await expect(page.getByText('salt 2 → 2.4 %')).toBeVisible();
  await expect(page.getByText('It began as a copy of Millet and linseed tin loaf')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Version 2' }).check();
  await page.getByRole('checkbox', { name: 'Version 1' }).check();
  await expect(page.getByRole('region', { name: 'Two compared' })).toContainText('salt 2 → 2.4 %');
  await page.getByRole('button', { name: 'Make a copy from here' }).last().click();
  await expect(cell(page, 'Salt, weight')).toHaveValue('10');
  await expect(page.getByRole('textbox', { name: 'Name of the formula' })).toHaveValue(/, from 1$/);
  await page.goto(`/formulas/${id}/story`);
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(cell(page, 'Salt, weight')).toHaveValue('10');
  await expect(saved(page)).toContainText('version 3');
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Archive it' }).click();
  await expect(page.getByText('This formula is in the archive.')).toBeVisible();
  await page.goto('/formulas?find=linseed');
  await expect(page.getByRole('heading', { name: 'Millet and linseed tin loaf', exact: true })).toBeVisible();
  await expect(page.locator(`a[href$="/formulas/${id}"]`)).toHaveCount(0);
  await page.goto('/formulas?show=archive');
  await expect(page.locator(`a[href$="/formulas/${id}"]`)).toBeVisible();
});

test('ounces and Fahrenheit everywhere at once, and back', async ({ page }) => {
  await copyOf(page, 'Quinoa and tapioca pizza discs');
  await page.getByRole('button', { name: /change to ounces/ }).click();
  await page.getByRole('button', { name: /change to Fahrenheit/ }).click();
  await expect(cell(page, 'Water, weight')).toHaveValue('15.2');
  await place(page, 'Method');
  await expect(cell(page, 'Step 8, temperature')).toHaveValue('554');
  await place(page, 'Formula');
  await page.reload();
  await carried(page);
  await cell(page, 'Water, weight').fill('16');
  await expect(cell(page, 'Water, percent of the flours')).toHaveValue('90.7');
});
