import { cell, closeBake, copyOf, expect, place, saved, startBake, test } from './kitchen';

test('a formula typed from scratch is baked, logged and found again', async ({ page }) => {
  await page.goto('/formulas');
  await page.getByRole('button', { name: 'New formula' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Lock-side scones 🥣');
  await page.getByRole('button', { name: 'Create it' }).click();
  await expect(page.getByText('No dough yet')).toBeVisible();
  for (const [search, name, grams] of [
    ['rice', 'White rice flour', '300'],
    ['tapioca flour', 'Tapioca starch', '200'],
    ['ispaghula', 'Psyllium husk', '18'],
    ['water', 'Water', '420'],
    ['fast-action', 'Instant yeast', '7'],
    ['salt', 'Salt', '10'],
  ] as const) {
    await page.getByRole('button', { name: 'Add to Dough' }).click();
    await page.getByPlaceholder('Type a name').fill(search);
    await page.getByRole('option', { name: new RegExp(`^${name}`) }).click();
    await expect(cell(page, `${name}, weight`)).toBeFocused();
    await page.keyboard.type(grams);
  }
  await expect(page.getByTestId('hydration-poured')).toHaveText('84.0 %');
  await place(page, 'Method');
  for (const [kind, time] of [
    ['Mix', '5 min'],
    ['Proof', '45–60 min'],
    ['Bake', '30 min'],
  ] as const) {
    await page.getByRole('button', { name: 'Add a step' }).click();
    await page.getByRole('menuitem', { name: kind, exact: true }).click();
    const row = page.locator('[data-step]').last();
    await row.getByTestId('time').fill(time);
    await row.getByTestId('time').press('Enter');
  }
  await expect(page.getByText('80 – 95 min')).toBeVisible();
  await expect(saved(page)).toBeVisible();
  await page.getByRole('button', { name: 'Make a batch' }).click();
  await cell(page, 'Number of pieces').fill('8');
  await cell(page, 'Weight of a piece').fill('110');
  await page.getByRole('button', { name: 'To the bench' }).click();

  await expect(page.getByRole('heading', { name: 'White rice flour' })).toBeVisible();
  await expect(page.getByTestId('target')).toContainText('279');
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Tapioca starch' })).toBeVisible();
  await page.getByRole('button', { name: 'Other weight' }).click();
  await page.getByTestId('actual').fill('190');
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  const wrong = page.getByTestId('wrong-amount');
  await expect(wrong).toContainText('190 g instead of');
  await wrong.getByRole('button', { name: 'Carry on as it is' }).click();
  for (const name of ['Psyllium husk', 'Water', 'Instant yeast', 'Salt']) {
    await expect(page.getByRole('heading', { name })).toBeVisible();
    await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  }
  await expect(page.getByRole('heading', { name: 'Mix' })).toBeVisible();
  await page.getByRole('button', { name: 'Extra' }).click();
  await page.getByRole('button', { name: 'White rice flour' }).click();
  await page.getByTestId('extra-mass').fill('15');
  await cell(page, 'Why it went in').fill('too wet by feel');
  await page.getByRole('button', { name: 'Save it' }).click();
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Note' }).fill('Smells of apples');
  await page.getByRole('button', { name: 'Save the note' }).click();
  await page.getByRole('button', { name: 'Start 5 min' }).click();
  await expect(page.getByTestId('clock')).toHaveText(/^4:\d\d$|^5:00$/);
  await page.getByRole('button', { name: '5 min', exact: true }).click();
  await expect(page.getByTestId('clock')).toHaveText(/^9:\d\d$|^10:00$/);
  for (const step of ['Mix', 'Proof', 'Bake']) {
    await expect(page.getByRole('heading', { name: step, exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Done', exact: true }).click();
  }

  await page.getByLabel('Pieces', { exact: true }).fill('8');
  await page.getByLabel('Weight before').fill('880');
  await page.getByLabel('Weight after').fill('900');
  await page.getByRole('radio', { name: 'crumb 4' }).click();
  await page.getByRole('radio', { name: 'Yes, with a change' }).click();
  await page.getByLabel('In words').fill('Good height, a shade dry.');
  await page.getByRole('button', { name: 'Close the bake' }).click();
  await expect(page.getByText('It can’t come out heavier than it went in.')).toBeVisible();
  // a reload in the middle of the form loses nothing
  await page.reload();
  await expect(page.getByLabel('In words')).toHaveValue('Good height, a shade dry.');
  await page.getByLabel('Weight after').fill('790');
  await page.getByLabel('Core').fill('97');
  await closeBake(page);

  await expect(page).toHaveURL(/\/logbook\//);
  await expect(page.getByRole('definition').filter({ hasText: '10.2 %' })).toBeVisible();
  const tapioca = page.getByRole('row', { name: /Tapioca starch/ });
  await expect(tapioca).toContainText('186 g');
  await expect(tapioca).toContainText('190 g');
  await expect(page.getByRole('row', { name: /extra.*too wet by feel/ })).toContainText('+15 g');
  await expect(page.getByText('Smells of apples')).toBeVisible();
  await page.goto('/logbook');
  await expect(page.getByRole('link', { name: /Lock-side scones/ })).toContainText(
    'Good height, a shade dry.',
  );
});

test('taps without a network are saved, survive a reload, and are sent once', async ({ page }) => {
  const bake = await startBake(page, await copyOf(page, 'Poppy rings'));
  await page.goto(`/bench/${bake}`);
  await page.route('**/api/k/*/bakes/**', (route) => route.abort());
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  await expect(page.getByText('The server does not answer. Go on: 2 saved on this device')).toBeVisible();
  await expect(page.getByRole('tab', { name: /Weigh 2\// })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('tab', { name: /Weigh 2\// })).toBeVisible();
  await page.unroute('**/api/k/*/bakes/**');
  const events = async () =>
    ((await (await page.request.get(`/api/k/-/bakes/${bake}`)).json()) as { events: unknown[] }).events
      .length;
  await expect.poll(events).toBe(2);
  await expect(page.getByText('The server does not answer.')).toBeHidden();
});

test('two tablets on one bake see each other’s ticks, and a line is ticked once', async ({
  page,
  context,
}) => {
  const bake = await startBake(page, await copyOf(page, 'Poppy rings'));
  await page.goto(`/bench/${bake}`);
  const other = await context.newPage();
  await other.goto(`/bench/${bake}`);
  await Promise.all(
    [page, other].map((tablet) => tablet.getByRole('button', { name: 'In the bowl', exact: true }).click()),
  );
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  await expect(other.getByRole('tab', { name: /Weigh 2\// })).toBeVisible();
  const { events } = (await (await page.request.get(`/api/k/-/bakes/${bake}`)).json()) as {
    events: { action: { lineId: string } }[];
  };
  expect(new Set(events.map(({ action }) => action.lineId)).size).toBe(events.length);
});

test('a wrong tick and a wrong log entry are corrected with both values saved; a running total adds the bowl', async ({
  page,
}) => {
  const bake = await startBake(page, await copyOf(page, 'Buckwheat hearth round'));
  await page.goto(`/bench/${bake}`);
  await page.getByRole('radio', { name: 'Running total' }).click();
  await cell(page, 'Weight of the empty bowl').fill('500');
  await expect(page.getByTestId('target')).toContainText('513');
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  await expect(page.getByTestId('target')).toContainText(String(500 + 13.4 + 201).slice(0, 3));
  await page.getByRole('button', { name: /^Psyllium husk/ }).click();
  await page.getByRole('radio', { name: 'Zero', exact: true }).click();
  await page.getByTestId('actual').fill('14');
  await page.getByRole('button', { name: 'Correct it' }).click();
  await page.getByRole('tab', { name: 'Log' }).click();
  await page.getByLabel('Pieces', { exact: true }).fill('1');
  await closeBake(page);
  const husk = page.getByRole('row', { name: /Psyllium husk/ });
  await expect(husk).toContainText('14 g');
  await expect(husk.locator('s')).toHaveText('13.4 g');
  await page.getByRole('button', { name: 'Correct', exact: true }).click();
  await page.getByLabel('Pieces', { exact: true }).fill('2');
  await page.getByRole('button', { name: 'Correct it' }).click();
  await expect(page.getByText(/Before the correction of/)).toBeVisible();
});
