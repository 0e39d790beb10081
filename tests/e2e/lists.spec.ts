import { plainLoaf } from '../../src/core/formula/testFormulas';
import { awake, expect, test } from './kitchen';

test('the shelf is searched as one types, keeps what is asked in its address, and pages', async ({
  page,
}) => {
  const word = `Zander${Date.now()}`;
  for (let count = 0; count < 32; count++)
    await page.request.post('/api/k/-/formulas', {
      data: {
        requestId: crypto.randomUUID(),
        formula: { ...plainLoaf(), name: `${word} ${String(count).padStart(2, '0')}` },
      },
    });
  await page.goto('/formulas');
  await awake(page);
  const field = page.getByRole('searchbox', { name: /^Search \d+ formulas$/ });
  await field.fill(word.toLowerCase());
  const cards = page.getByRole('heading', { name: new RegExp(word) });
  await expect(cards).toHaveCount(30);
  await expect(page).toHaveURL(/find=zander/);
  await page.reload();
  await expect(field).toHaveValue(word.toLowerCase());
  await page.getByRole('link', { name: 'More formulas' }).click();
  await expect(cards).toHaveText([`${word} 30`, `${word} 31`]);
  await page.getByRole('link', { name: 'Back to the start' }).click();
  await expect(cards.first()).toHaveText(`${word} 00`);
  await page.getByRole('combobox', { name: 'Which kind' }).selectOption('pizza');
  await expect(page.getByText('No formula matches that.')).toBeVisible();
  await field.fill('');
  await expect(
    page.getByRole('heading', { name: 'Quinoa and tapioca pizza discs', exact: true }),
  ).toBeVisible();
});

test('the logbook is searched by its words and by how bakes came out', async ({ page }) => {
  await page.goto('/logbook');
  await awake(page);
  await page.getByRole('searchbox').fill('old yeast');
  const line = page.getByRole('link', { name: /Pumpkin-seed supper rolls.*Old yeast/ });
  await expect(line).toBeVisible();
  await expect(page.getByRole('link', { name: /Buckwheat hearth round/ })).toHaveCount(0);
  await page.getByRole('combobox', { name: 'Verdict' }).selectOption('no');
  await expect(page.getByText('No bake matches that.')).toBeVisible();
  await page.getByRole('combobox', { name: 'Verdict' }).selectOption('');
  await line.click();
  await expect(page.getByRole('heading', { name: 'Pumpkin-seed supper rolls' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('searchbox')).toHaveValue('old yeast');
  await expect(line).toBeVisible();
  // filters: put away, named, of the days of the kitchen; asked one after the other without waiting
  await page.goto('/logbook');
  await awake(page);
  const shown = page.getByRole('link', { name: /^\w{3} \d+ \w{3} \d{4}/ });
  await expect(page.getByLabel('From day')).toBeHidden();
  await page.getByRole('button', { name: 'Filter', exact: true }).click();
  await page.getByLabel('From day').fill('2026-10-27');
  await page.getByLabel('To day').fill('2026-10-29');
  await expect(page.getByRole('button', { name: 'Filter (2)' })).toBeVisible();
  await expect(shown).toHaveCount(2);
  await page.getByRole('combobox', { name: 'Score' }).selectOption('crumb 2 or less');
  await expect(shown).toHaveCount(2);
  await page.getByRole('combobox', { name: 'With' }).selectOption('How it rose');
  await expect(shown).toHaveCount(1);
  await expect(shown).toContainText('Sorghum and teff baton');
  await page.reload();
  await awake(page);
  await expect(page.getByLabel('To day')).toHaveValue('2026-10-29');
  await expect(shown).toHaveCount(1);
  await page.getByRole('button', { name: 'Clear filters' }).click();
  await expect.poll(() => shown.count()).toBeGreaterThan(20);
});

test('charts: a formula’s scores over time, a bake’s rise, an oven’s readings', async ({ page }) => {
  // other tests fill the shelf, and make copies of it: those have other names, or no bakes
  await page.goto('/formulas?find=Millet+and+linseed+tin+loaf');
  const href = await page
    .getByRole('link', { name: /^Millet and linseed tin loaf Tin loaf/ })
    .first()
    .getAttribute('href');
  await page.goto(`/logbook?formula=${href?.split('/').at(-1)}`);
  const scores = page.getByTestId('score-chart');
  await expect(scores.locator('.recharts-line')).toHaveCount(4);
  await expect(scores).toContainText('Scores of these 5 bakes');
  await page.goto('/logbook?find=Sorghum');
  await page
    .getByRole('link', { name: /Sorghum and teff baton/ })
    .first()
    .click();
  await expect(page.getByTestId('rise-chart').locator('.recharts-line-dot')).toHaveCount(3);
  await page.goto('/kit');
  const offsets = page.getByTestId('offset-chart').first();
  await expect(offsets.locator('.recharts-scatter-symbol')).toHaveCount(4);
  // how far it is off is there in figures too
  await expect(page.getByText(/at 200 °C/).first()).toBeVisible();
});
