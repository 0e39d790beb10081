import { inDemo } from '../../scripts/demoKitchen';
import { awake, carried, cell, copyOf, expect, place, saved, test } from './kitchen';
import type { Page } from '@playwright/test';

const toBatch = (page: Page) => page.getByRole('button', { name: 'Make a batch' }).click();
const allSteps = async (page: Page) => {
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByRole('tab', { name: /Steps/ }).click();
  return page.getByRole('list', { name: 'All steps' }).getByRole('listitem');
};

test('nine fried rounds, three at a time: the oil and the fryer say so, and every load is a call', async ({
  page,
}) => {
  await copyOf(page, 'Amaranth and cardamom fried knots');
  await toBatch(page);
  await cell(page, 'Number of pieces').fill('9');
  await expect(page.getByTestId('how-it-fits')).toContainText(
    'Fry in 3 loads: up to 4 at a time, or the oil cools too far',
  );
  await expect(page.getByTestId('process-lanes')).toContainText('Fry');
  const steps = await allSteps(page);
  await expect(steps.filter({ hasText: 'load 3 of 3 (3 pieces)' })).toHaveCount(1);
});

test('three flats cross in two passes on one steel; of a sauce for five three take theirs, and the rest is said', async ({
  page,
}) => {
  await copyOf(page, 'Regatta pizza, in two passes');
  await expect(page.getByText(/182 g.*left/)).toBeVisible();
  await toBatch(page);
  await expect(page.getByTestId('weigh-crushed-tomatoes')).toBeVisible();
  const steps = await allSteps(page);
  // each disc goes through alone, twice
  for (const load of [1, 2, 3])
    await expect(steps.filter({ hasText: `load ${load} of 3 (1 piece)` })).toHaveCount(2);
});

test('a dough for two mixes: each weighed for itself, both called', async ({ page }) => {
  await copyOf(page, 'Lock dough: a tin and rolls');
  await toBatch(page);
  await cell(page, 'How many: Tin loaf').fill('2');
  await expect(page.getByTestId('how-it-fits')).toContainText('2 mixes');
  const flour = page.getByTestId('weigh-brown-rice-flour');
  await expect(flour).toContainText('2 ×');
  const steps = await allSteps(page);
  await expect(steps.filter({ hasText: 'mix 2 of 2' })).toHaveCount(1);
});

test('a recipe in cups stays in cups from the paste to the bench; its method asks what it leaves open', async ({
  page,
}) => {
  await page.goto('/formulas/read');
  const text = page.getByRole('textbox', { name: 'The recipe' });
  await expect(text).toBeEditable();
  await text.fill(
    'Cup loaf\n\n3 cups white rice flour\n1 cup less 1 tbsp tapioca starch\n3 tbsp psyllium husk\n2 tsp salt\n7 g instant yeast\n2 cups water\n\nMix 4 minutes. Scrape into a tin. Let it rise 1 hour or overnight in the fridge. Bake 50 minutes at 200 °C.',
  );
  await expect(page.getByTestId('understood')).toContainText('6 ingredients, 4 steps');
  await page.getByTestId('step-question').getByRole('button', { name: '1 h', exact: true }).click();
  await page.getByRole('button', { name: 'Make the formula' }).click();
  await expect(saved(page)).toBeVisible();
  await place(page, 'Method');
  await expect(page.locator('[data-step]')).toHaveCount(4);
  await toBatch(page);
  await page.getByRole('radio', { name: 'Times' }).click();
  await cell(page, 'Factor').fill('0.5');
  const counts = page.getByTestId('counts');
  await expect(counts.first()).toHaveText('1 ½ cups');
  await expect(counts.nth(1)).toContainText('less');
  // typed by weight: in the measures the baker prefers too, and then in none
  const beside = page.getByRole('combobox', { name: 'What stands beside the grams' });
  const yeast = page.getByRole('row', { name: /Instant yeast/ });
  await expect(yeast.getByTestId('counts')).toHaveCount(0);
  await beside.selectOption({ label: 'beside weights: cups, spoons, eggs' });
  await expect(yeast.getByTestId('counts')).toHaveText('about 1 tsp');
  await beside.selectOption({ label: 'weights alone' });
  await expect(counts).toHaveCount(0);
  await beside.selectOption({ label: 'beside weights: as the recipe says' });
  await page.getByRole('button', { name: 'To the bench' }).click();
  await expect(page.getByText('1 ½ cups').first()).toBeVisible();
});

test('what was frozen stands on the first page until it is taken out, through a reload', async ({ page }) => {
  await page.goto(inDemo('/'));
  const stock = page
    .getByTestId('stock')
    .getByRole('link', { name: /Rolls for Sunday/ })
    .first();
  await expect(stock).toContainText('frozen as dough, ready 6 h 10 min after it is taken out');
  await stock.click();
  const putBy = page.getByTestId('put-by');
  await expect(putBy.getByTestId('finish')).toContainText(
    /Taken out now, ready about .*Thaw.*Proof.*Bake 20 – 25 min, 220 °C/,
  );
  const left = putBy.locator('.figure');
  await expect(left).toHaveText(/^\d+$/);
  const before = Number(await left.textContent());
  await putBy.getByRole('button', { name: 'One out' }).click();
  await expect(left).toHaveText(String(before - 1));
  await expect(page.getByText('Not sent yet')).toHaveCount(0);
  await page.reload();
  await expect(left).toHaveText(String(before - 1));
  // a press before the page answers is nobody's
  await awake(page);
  await putBy.getByRole('button', { name: 'One back' }).click();
  await expect(left).toHaveText(String(before));
});

test('a sauce becomes a formula of its own, changes there, and is taken anew here; a topping of one’s own asks whom it is not for', async ({
  page,
}) => {
  const host = await copyOf(page, 'Regatta pizza, in two passes');
  await page.getByRole('button', { name: 'Tomato sauce: made by a formula of its own' }).click();
  await page.getByRole('button', { name: 'Make it a formula of its own' }).click();
  const source = page.getByTestId('part-source');
  await source.getByRole('link', { name: 'Tomato sauce' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the formula' })).toHaveValue('Tomato sauce');
  await carried(page);
  // half as much oil again, and the sauce alone can be weighed out
  await cell(page, 'Olive oil, weight').fill('30');
  await expect(saved(page)).toBeVisible();
  await toBatch(page);
  await expect(page.getByTestId('weigh-crushed-tomatoes')).toBeVisible();
  await page.goto(`/formulas/${host}`);
  await expect(source).toContainText('which has changed since');
  const oil = page
    .getByRole('region', { name: 'Tomato sauce' })
    .getByRole('textbox', { name: 'Olive oil, weight' });
  await expect(oil).toHaveValue('20');
  await source.getByRole('button', { name: 'take it anew' }).click();
  await expect(source).not.toContainText('changed');
  // 30 of 456 g, in the 446 g that are made here
  await expect(oil).toHaveValue(/^29[.,]3/);
  await expect(saved(page)).toBeVisible();

  await page.getByRole('button', { name: 'Add to Cheese' }).click();
  await page.getByRole('combobox', { name: 'Add to Cheese' }).fill('plum chutney');
  await page.getByRole('option', { name: /plum chutney.* is something of my own/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Something of my own' });
  const use = dialog.getByRole('button', { name: 'Save and use it' });
  await expect(use).toBeDisabled();
  await dialog.getByRole('checkbox', { name: 'sulphites' }).check();
  await use.click();
  await expect(dialog).toHaveCount(0);
  await expect(cell(page, 'plum chutney, weight')).toBeVisible();
  await expect(page.getByTestId('allergens')).toContainText(/sulphites/i);
});
