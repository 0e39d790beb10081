import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from '../../scripts/processes';
import { startHome } from './home';
import { awake, cell, closeBake, expect, saved, test, watch } from './kitchen';

const kitOf = async (page: import('@playwright/test').Page, kitchen: string) =>
  (
    (await (await page.request.get(`/api/k/${kitchen}/kit`)).json()) as {
      kit: { roomC: number; altitudeM: number };
    }
  ).kit;

test('a stranger’s first hour: told what this is, a kitchen of one’s own, formulas by paste and by hand, a bake, and all of it in a second home', async ({ page }) => {
  test.slow();
  await page.goto('/');
  await expect(page.getByText('For people who bake gluten-free bread with yeast.')).toBeVisible();
  await page.getByRole('link', { name: /Set up (mine|another)/ }).click();
  await expect(page.getByRole('radio', { name: /A bit of everything/ })).toBeChecked();
  await page.getByText('Rolls and small things').click();
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await page.getByLabel('What the kitchen is called').fill('Weir House');
  await page.getByLabel('Height above the sea, m').fill('420');
  await page.getByRole('button', { name: 'Open my kitchen' }).click();
  await expect(page).toHaveURL(/\/k\/weir-house$/);
  await expect(page.getByRole('heading', { name: 'Weir House' })).toBeVisible();
  await expect(page.getByText('Nothing is in progress.')).toBeVisible();

  await page.getByRole('link', { name: 'Choose a formula' }).click();
  await expect(page.getByRole('heading', { level: 2 })).toHaveText([
    'Amaranth and cardamom fried knots',
    'Poppy rings',
    'Pumpkin-seed supper rolls',
  ]);
  await page.getByRole('link', { name: 'Import a recipe' }).click();
  await page
    .getByRole('textbox', { name: 'The recipe' })
    .fill('Weir flats\n\n300 g brown rice flour\n200 g tapioca starch\n20 g psyllium husk\n420 g water\n10 g salt\n7 g instant yeast\n\nMix for 5 minutes. Proof 45 min. Bake 20 min at 220 °C.');
  await page.getByRole('button', { name: 'Make the formula' }).click();
  await expect(cell(page, 'Water, weight')).toHaveValue('420');
  await expect(page).toHaveURL(/\/k\/weir-house\/formulas\/[0-9a-f-]{36}$/);
  await expect(saved(page)).toBeVisible();
  await page.getByRole('button', { name: 'Make a batch' }).click();
  await cell(page, 'Number of pieces').fill('6');
  await cell(page, 'Weight of a piece').fill('120');
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
  // whoever comes back is back in his own kitchen
  await page.goto('/');
  await expect(page).toHaveURL(/\/k\/weir-house$/);
  await expect(page.getByTestId('first-call').getByText('Weir flats')).toBeVisible();
  expect(await kitOf(page, 'weir-house')).toMatchObject({ altitudeM: 420 });
  await page.getByTestId('first-call').click();
  await page.getByRole('tab', { name: 'Log' }).click();
  await page.getByLabel('Pieces', { exact: true }).fill('6');
  await closeBake(page);
  await expect(page).toHaveURL(/\/logbook\//);

  // a formula of one's own, by hand
  await page.goto('/k/weir-house/formulas');
  await awake(page);
  await page.getByRole('button', { name: 'New formula' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Weir rolls');
  await page.getByRole('button', { name: 'Create it' }).click();
  await expect(page.getByText('No dough yet')).toBeVisible();
  for (const [search, name, grams] of [
    ['white rice', 'White rice flour', '250'], ['tapioca', 'Tapioca starch', '250'], ['psyllium husk', 'Psyllium husk', '25'],
    ['water', 'Water', '450'], ['salt', 'Salt', '9'],
  ] as const) {
    await page.getByRole('button', { name: 'Add to Dough' }).click();
    await page.getByPlaceholder('Type a name').fill(search);
    await page.getByRole('option', { name: new RegExp(`^${name}`) }).first().click();
    await expect(cell(page, `${name}, weight`)).toBeFocused();
    await page.keyboard.type(grams);
  }
  await expect(page.getByTestId('hydration-all')).toHaveText('90.0 %');
  await expect(page.getByTestId('band-rested')).not.toHaveText('No dough yet');
  await expect(saved(page)).toBeVisible();

  // who eats there, and how it writes its numbers: seen on the next formula at once
  await page.goto('/k/weir-house/kit');
  await page.getByRole('button', { name: 'Add an eater or an order' }).click();
  await page.getByLabel('Name of eater 1').fill('Ida');
  await page.getByLabel('Numbers').selectOption('comma');
  await page.getByRole('group', { name: 'Eater 1' }).getByLabel('rice', { exact: true }).check();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  // said once the server has it: a button that waits is no answer
  await expect(page.getByTestId('details-save')).toHaveText('Saved');
  await page.goto('/k/weir-house/formulas?find=weir+rolls');
  await page.getByRole('link', { name: /Weir rolls/ }).click();
  await expect(page.getByTestId('hydration-all')).toHaveText('90,0 %');
  await expect(page.getByTestId('eaters')).toContainText('Not for Ida');

  // all of it in one file, and the same in a second home
  const here = await (await page.request.get('/api/k/weir-house/export?form=json')).text();
  const home = await mkdtemp(path.join(tmpdir(), 'crumb-second-'));
  const port = await freePort();
  const second = { url: `http://127.0.0.1:${port}`, crumb: await startHome(home, port) };
  try {
    const there = await page.context().newPage();
    await there.goto(`${second.url}/kitchens`);
    await there.getByLabel('A kitchen’s file').setInputFiles({ name: 'weir.json', mimeType: 'application/json', buffer: Buffer.from(here) });
    await expect(there).toHaveURL(/\/k\/weir-house$/);
    await expect(there.getByText('Weir flats').first()).toBeVisible();
    const again = await (await there.request.get(`${second.url}/api/k/weir-house/export?form=json`)).text();
    const sorted = (text: string) => {
      const file = JSON.parse(text) as { formulas: { revisions: unknown }[]; bakes: unknown[] } & Record<string, unknown>;
      // keys are made of names in the order of listing
      return { ...file, formulas: file.formulas.map(({ revisions }) => JSON.stringify(revisions)).sort(), bakes: file.bakes.length };
    };
    expect(sorted(again)).toEqual(sorted(here));
    await there.close();
  } finally {
    second.crumb.kill('SIGINT');
    await new Promise((ended) => second.crumb.once('exit', ended));
    await rm(home, { recursive: true, force: true });
  }
}); // prettier-ignore

test('a kitchen is exported on the first page and comes back from its file, beside itself', async ({ page }) => {
  await page.request.post('/api/kitchens', {
    data: {
      requestId: crypto.randomUUID(), name: 'Ferry Steps', timeZone: 'UTC', baking: 'loaves', ovenKind: 'fan', altitudeM: 3,
    },
  });
  await page.goto('/kitchens');
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export Ferry Steps' }).click();
  const download = await coming;
  expect(download.suggestedFilename()).toMatch(/^ferry-steps-\d{4}-\d\d-\d\d\.crumb\.zip$/);
  const file = await download.path();
  await page.locator('main, body').first().waitFor();
  await page.getByLabel('A kitchen’s file').setInputFiles(file);
  await expect(page).toHaveURL(/\/k\/ferry-steps-2$/);
  await expect(page.getByRole('heading', { name: 'Ferry Steps' })).toBeVisible();
  await page.goto('/k/ferry-steps-2/formulas');
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(3);
  const written = async (kitchen: string) => {
    const whole = (await (await page.request.get(`/api/k/${kitchen}/export?form=json`)).json()) as { kits: unknown; formulas: { revisions: unknown }[] };
    return [whole.kits, whole.formulas.map(({ revisions }) => JSON.stringify(revisions)).sort()];
  };
  expect(await written('ferry-steps-2')).toEqual(await written('ferry-steps'));
  // what is no kitchen changes nothing, and says so
  await page.goto('/kitchens');
  await page.getByLabel('A kitchen’s file').setInputFiles({
    name: 'other.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"something.else"}'),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'nothing was changed' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('link', { name: 'Export Ferry Steps' })).toHaveCount(2);
}); // prettier-ignore

test('two tabs in two kitchens never cross, also where a closed tab left something to be sent', async ({
  page,
  baseURL,
}) => {
  const made = await page.request.post('/api/kitchens', {
    data: {
      requestId: crypto.randomUUID(), name: 'Other bank', timeZone: 'UTC', baking: 'none', ovenKind: 'fan', altitudeM: 0,
    },
  }); // prettier-ignore
  const { address } = (await made.json()) as { address: string };
  const demo = await kitOf(page, 'larkspur-lock');
  await page.goto(`/k/${address}/kit`);
  const context = page.context();
  const other = await context.newPage();
  const faults: string[] = [];
  watch(other, baseURL ?? '', faults);
  await other.goto('/k/larkspur-lock/formulas');
  await expect(page.getByTestId('kit-save')).toHaveAttribute('data-state', 'saved');
  await expect(page.locator('main[data-awake="true"]')).toBeVisible();
  await context.setOffline(true);
  await cell(page, 'Room').fill('17.5');
  await cell(page, 'Room').press('Enter');
  await expect(page.getByTestId('kit-save')).toHaveAttribute('data-state', 'unreachable');
  await page.close();
  await context.setOffline(false);
  // the demo's page sends it, to where it belongs
  await expect.poll(async () => (await kitOf(other, address)).roomC).toBe(17.5);
  expect(await kitOf(other, 'larkspur-lock')).toEqual(demo);
  await other.goto(`/k/${address}`);
  await expect(other.getByRole('heading', { name: 'Other bank' })).toBeVisible();
  await expect(other.getByText('made-up kitchen')).toBeHidden();
  // what is not in this kitchen is not there
  const [card] = [...(await (await other.request.get('/k/larkspur-lock/formulas')).text()).matchAll(/\/formulas\/([0-9a-f-]{36})/g)]; // prettier-ignore
  expect((await other.request.get(`/k/${address}/formulas/${card?.[1]}`)).status()).toBe(404);
  expect((await other.request.get(`/api/k/${address}/formulas/${card?.[1]}`)).status()).toBe(404);
  expect(faults).toEqual([]);
});

test('addresses from before kitchens had their own lead on; a kitchen that is not there is not there', async ({ page }) => {
  await page.goto('/logbook?find=poppy');
  await expect(page).toHaveURL(/\/k\/larkspur-lock\/logbook\?find=poppy$/);
  await page.goto('/ingredients?look=potato-starch');
  await expect(page).toHaveURL(/\/k\/larkspur-lock\/ingredients\?look=potato-starch$/);
  for (const path of ['/k/nobody', '/k/nobody/kit', '/k/-/nowhere'])
    expect([path, (await page.request.get(path)).status()]).toEqual([path, 404]);
}); // prettier-ignore
