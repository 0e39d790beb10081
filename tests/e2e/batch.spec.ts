import { cell, copyOf, expect, test } from './kitchen';

test('eight rolls of 85 g: every weight follows, rounding is owned up to, and the address remembers', async ({
  page,
}) => {
  const id = await copyOf(page, 'Pumpkin-seed supper rolls');
  await page.getByRole('button', { name: 'Make a batch' }).click();
  await expect(page).toHaveURL(new RegExp(`/formulas/${id}/batch`));
  await cell(page, 'Number of pieces').fill('8');
  await cell(page, 'Weight of a piece').fill('85');
  await cell(page, 'Bowl loss').fill('0');
  await expect(page.getByTestId('yield')).toContainText('8 × 85 g');
  // 680 g out of the formula's 1001 g of dough
  await expect(page.getByTestId('weigh-water')).toHaveText('289g');
  await expect(page.getByTestId('weigh-salt')).toHaveText('6.1g');
  await expect(page.getByTestId('rounding')).toContainText('Rounded to the scale');
  await page.reload();
  await expect(page.getByTestId('yield')).toContainText('8 × 85 g');
  await page.getByRole('radio', { name: 'baked', exact: true }).click();
  await expect(page.getByTestId('yield')).toContainText('8 × 90.4 g');
});

test('by a factor, and by what is left of one flour, with a small piece over', async ({ page }) => {
  await copyOf(page, 'Pumpkin-seed supper rolls');
  await page.getByRole('button', { name: 'Make a batch' }).click();
  await page.getByRole('radio', { name: 'Times' }).click();
  await cell(page, 'Factor').fill('2');
  await expect(page.getByTestId('weigh-millet-flour')).toHaveText('180g');
  await page.getByRole('radio', { name: 'What I have' }).click();
  await page.getByLabel('Which ingredient is fixed').selectOption({ label: 'Tapioca starch' });
  await cell(page, 'What I have of it').fill('65');
  await expect(page.getByTestId('weigh-tapioca-starch')).toHaveText('65g');
  await expect(page.getByTestId('weigh-millet-flour')).toHaveText('45g');
  await expect(page.getByTestId('yield')).toContainText('5 × 85 g');
  await expect(page.getByText(/[Aa] (?:small one|scrap) of 7\d(\.\d)? g/)).toBeVisible();
});

test('nonsense is refused at its field; nonsense in the address starts no bake', async ({ page }) => {
  const id = await copyOf(page, 'Pumpkin-seed supper rolls');
  await page.goto(`/formulas/${id}/batch`);
  await cell(page, 'Number of pieces').fill('2.5');
  await expect(page.getByRole('alert').filter({ hasText: 'Whole numbers only' })).toBeVisible();
  await cell(page, 'Number of pieces').fill('0');
  await expect(page.getByRole('alert').filter({ hasText: 'At least 1' })).toBeVisible();
  await expect(page.getByTestId('yield')).toContainText('12 × 85 g');
  await page.goto(`/formulas/${id}/batch?pieces=-3&each=NaN`);
  await expect(page.getByRole('button', { name: 'To the bench' })).toBeDisabled();
});

test('prints the formula and nothing around it', async ({ page }) => {
  const id = await copyOf(page, 'Pumpkin-seed supper rolls');
  await page.goto(`/formulas/${id}/batch`);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation')).toBeHidden();
  await expect(page.getByRole('button', { name: 'To the bench' })).toBeHidden();
  await expect(page.getByTestId('weigh-water')).toBeVisible();
  // the method with its boxes is for paper alone
  const method = page.getByTestId('paper-method');
  await expect(method.getByRole('listitem').first()).toContainText('6 min');
  await expect(page.getByTestId('paper-foot')).toContainText('The labels in your hand decide.');
  await expect(page.getByTestId('paper-foot').getByRole('img')).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  await expect(method).toBeHidden();
  // the formula's own page too, from whichever of its places; no button is on it
  // the news, which come for ever, are turned off: until nothing more comes it is not drawn
  await page.route('**/api/news', (route) => route.abort());
  await page.goto(`/formulas/${id}/method`);
  const paper = page.getByTestId('formula-paper');
  // drawn for the printer alone, and there when the event of printing ends: no browser waits for it
  await expect(page.getByLabel('Name of the formula')).toBeVisible();
  await page.waitForLoadState('networkidle');
  await expect(paper).not.toBeAttached();
  const drawn = await page.evaluate(() => {
    window.dispatchEvent(new Event('beforeprint'));
    return document.querySelector('[data-testid="formula-paper"]')?.textContent ?? '';
  });
  expect(drawn).toContain('Salt');
  await page.emulateMedia({ media: 'print' });
  await expect(paper.getByRole('heading', { name: 'Pumpkin-seed supper rolls' })).toBeVisible();
  await expect(paper.getByRole('row', { name: /Salt/ })).toBeVisible();
  await expect(paper.getByTestId('paper-method').getByRole('listitem').first()).toBeVisible();
  await expect(page.getByRole('button')).toHaveCount(0);
  await expect(page.getByRole('textbox')).toHaveCount(0);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(paper).not.toBeAttached();
});
