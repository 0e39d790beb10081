import { cell, copyOf, expect, place, saved, test } from './kitchen';

test('a tin loaf and rolls from one dough, some of it frozen: parted, batched, baked load by load', async ({
  page,
}) => {
  // tall enough that nothing scrolls under the mouse
  await page.setViewportSize({ width: 1280, height: 2200 });
  await copyOf(page, 'Pumpkin-seed supper rolls');
  await place(page, 'Method');
  await page.getByRole('button', { name: 'Make several breads of it' }).click();
  await page.getByRole('menuitem', { name: 'from after step 2' }).click();
  const ways = page.locator('[data-way]');
  await expect(ways).toHaveCount(2);
  // the first keeps the steps that were there, and half of the twelve pieces
  await expect(ways.first().locator('[data-step]').first()).toBeVisible();
  await expect(ways.first().getByTestId('way-pieces')).toHaveText('6 × 85 g');
  // a step goes to the bread that has none yet
  const [mine, theirs] = [ways.first().locator('[data-step]'), ways.nth(1).locator('[data-step]')];
  const count = await mine.count();
  await expect(theirs).toHaveCount(0);
  const from = await mine.last().locator('[data-grip]').boundingBox();
  const to = await ways.nth(1).locator('ol').boundingBox();
  if (!from || !to) throw new Error('not on the page');
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y + 30, { steps: 4 });
  await page.mouse.move(to.x + 12, to.y + to.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect(theirs).toHaveCount(1);
  await expect(mine).toHaveCount(count - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(theirs).toHaveCount(0);
  await cell(page, 'Name of the bread Bread 2').fill('Little loaf');
  await page.getByLabel('How much of the dough: Little loaf').selectOption('pieces');
  await ways.nth(1).getByLabel('each').fill('450');
  await ways.nth(1).getByLabel('pieces', { exact: true }).fill('1');
  await expect(page.getByTestId('parting')).toContainText('left over');
  await page.getByLabel('Shape: Little loaf').selectOption('tin');
  await page.getByLabel('What becomes of it: Little loaf').selectOption('frozen');
  await ways.nth(1).getByRole('button', { name: 'Add a step' }).click();
  await page.getByRole('menuitem', { name: 'Bake', exact: true }).click();
  await expect(ways.nth(1).locator('[data-step]')).toHaveCount(1);
  await ways.nth(1).getByTestId('time').fill('45 min');
  await ways.nth(1).getByTestId('time').press('Enter');
  await expect(saved(page)).toBeVisible();
  await page.reload();
  await expect(ways.nth(1).getByTestId('way-pieces')).toHaveText('1 × 450 g');

  // its day is the rolls' until the loaf is asked for
  await place(page, 'Timeline');
  await page.getByRole('radio', { name: 'Little loaf' }).click();
  await expect(page.getByTestId('taken-as')).toContainText('in a tin');

  await page.getByRole('button', { name: 'Make a batch' }).click();
  await cell(page, 'How many: Bread 1').fill('4');
  await expect(page.getByTestId('yield')).toContainText('4× 85 g');
  await expect(page.getByTestId('yield')).toContainText('1× 450 g');
  await expect(page.getByTestId('yield')).toContainText('frozen, within 60 days');
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByRole('tab', { name: /Steps/ }).click();
  await expect(page.getByRole('list', { name: 'All steps' })).toContainText('Little loaf');
});

test('ten rings two at a time, two sides; half the water at a second kneading, asked for at its step', async ({
  page,
}) => {
  await copyOf(page, 'Pumpkin-seed supper rolls');
  await place(page, 'Method');
  const rows = page.locator('[data-step]');
  const add = async (kind: string) => {
    const before = await rows.count();
    await page.getByRole('button', { name: 'Add a step' }).click();
    await page.getByRole('menuitem', { name: kind, exact: true }).click();
    await expect(rows).toHaveCount(before + 1);
    await rows.last().getByTestId('step-said').click();
    return rows.last();
  };
  const knead = await add('Knead again');
  await knead.getByLabel(/add what goes in/).selectOption({ label: '– Water' });
  await knead.getByLabel('Share of Water').selectOption('3');
  await expect(knead.getByTestId('step-said')).toContainText('in goes 50 % of water');
  const boil = await add('Boil');
  await boil.getByLabel('sides', { exact: true }).fill('2');
  await boil.getByLabel('at a time', { exact: true }).fill('2');
  await boil.getByLabel('at a time', { exact: true }).press('Enter');
  await expect(boil.getByTestId('step-said')).toContainText('2 sides · 2 at a time');
  await boil.getByLabel('at a time', { exact: true }).fill('0.5');
  await expect(page.getByRole('alert').filter({ hasText: 'Whole numbers only' })).toBeVisible();
  await boil.getByLabel('at a time', { exact: true }).press('Escape');
  await expect(saved(page)).toBeVisible();

  await page.getByRole('button', { name: 'Make a batch' }).click();
  await cell(page, 'Number of pieces').fill('10');
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByRole('tab', { name: /Steps/ }).click();
  const steps = page.getByRole('list', { name: 'All steps' }).getByRole('listitem');
  await expect(steps.filter({ hasText: 'load' })).toHaveCount(10);
  await expect(steps.filter({ hasText: 'load 5 of 5 (2 pieces), side 2 of 2' })).toHaveCount(1);
});

test('words become fields that can be seen and corrected; a remark changes nothing', async ({ page }) => {
  await copyOf(page, 'Pumpkin-seed supper rolls');
  await place(page, 'Method');
  const bake = page
    .locator('[data-step]')
    .filter({ has: page.locator('select[value="bake"], option[value="bake"]:checked') })
    .first();
  const fields = bake.getByTestId('step-said');
  await bake.getByLabel(/what to do/).fill('Bake with the lid on');
  await bake.getByLabel(/what to do/).press('Enter');
  await bake.getByLabel(/, until/).fill('core 97 °C');
  await bake.getByLabel(/, until/).press('Enter');
  await expect(fields).toContainText('under a lid');
  await expect(fields).toContainText('until its middle is at 97 °C');
  await bake.getByLabel(/, note/).fill('on the stone, with steam');
  await bake.getByLabel(/, note/).press('Enter');
  await fields.click();
  await bake.getByLabel(/steam or lid/).selectOption('unsaid');
  await expect(fields).not.toContainText('under a lid');
  await expect(fields).not.toContainText('hot stone');
  // what was corrected stays so, whatever else is typed
  await bake.getByLabel(/, until/).fill('golden');
  await bake.getByLabel(/, until/).press('Enter');
  await bake.getByLabel(/what it lies on/).selectOption('steel');
  await expect(fields).toContainText('hot steel');
  await bake.getByLabel(/what is waited for/).selectOption('unsaid');
  await bake.getByLabel(/, until/).fill('golden brown');
  await bake.getByLabel(/, until/).press('Enter');
  await expect(fields).toContainText('until its colour is golden');
  await expect(fields).not.toContainText('under a lid');
  await expect(fields).toContainText('hot steel');
});
