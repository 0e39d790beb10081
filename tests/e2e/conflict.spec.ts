import { cell, copyOf, expect, saved, test, watch } from './kitchen';

test('two tabs on one sheet: the second is told, nothing is overwritten, and the baker chooses', async ({
  page,
  context,
  baseURL,
}) => {
  const id = await copyOf(page, 'Buckwheat hearth round');
  const second = await context.newPage();
  const faults: string[] = [];
  watch(second, baseURL ?? '', faults);
  // the second tab never hears of the first one's save, as when it lay in the background all along
  await second.route(`**/api/k/*/formulas/${id}`, (route) =>
    route.request().method() === 'GET' ? route.abort() : route.continue(),
  );
  await second.goto(`/formulas/${id}`);
  await cell(page, 'Salt, weight').fill('11.5');
  await expect(saved(page)).toContainText('version 2');
  await cell(second, 'Olive oil, weight').fill('25');
  const banner = second.getByRole('alert').filter({ hasText: 'changed somewhere else' });
  await expect(banner).toContainText('version 2');
  await expect(cell(second, 'Olive oil, weight')).toHaveValue('25');
  const head = async () =>
    (await (await page.request.get(`/api/k/-/formulas/${id}`)).json()) as {
      revision: number;
      formula: { stages: { lines: { ingredientId: string; massG: number }[] }[] };
    };
  const grams = async (ingredientId: string) =>
    (await head()).formula.stages
      .flatMap((stage) => stage.lines)
      .find((line) => line.ingredientId === ingredientId)?.massG;
  expect((await head()).revision).toBe(2);
  expect(await grams('salt')).toBe(11.5);
  expect(await grams('olive-oil')).toBe(12);

  // even a reload does not lose what was typed, nor pretend that it was saved
  await second.unroute(`**/api/k/*/formulas/${id}`);
  await second.reload();
  await expect(cell(second, 'Olive oil, weight')).toHaveValue('25');
  await expect(banner).toContainText('Olive oil: 12 g → 25 g');
  await banner.getByRole('button', { name: 'Save mine as the newest' }).click();
  await expect(saved(second)).toContainText('version 3');
  expect(await grams('olive-oil')).toBe(25);
  const revisions = (await (await page.request.get(`/api/k/-/formulas/${id}/revisions`)).json()) as {
    number: number;
  }[];
  expect(revisions.map(({ number }) => number)).toEqual([3, 2, 1]);

  // and the other way round: the first tab, behind now, goes on with theirs
  const catchUp = `**/api/k/*/formulas/${id}`;
  await page.route(catchUp, (route) =>
    route.request().method() === 'GET' ? route.abort() : route.continue(),
  );
  await cell(page, 'Salt, weight').fill('9');
  const here = page.getByRole('alert').filter({ hasText: 'changed somewhere else' });
  await expect(here).toContainText('version 3');
  await page.unroute(catchUp);
  await here.getByRole('button', { name: 'Go on with theirs' }).click();
  await expect(cell(page, 'Olive oil, weight')).toHaveValue('25');
  await expect(cell(page, 'Salt, weight')).toHaveValue('10.5');
  expect(faults).toEqual([]);
});

test('a dead network: typing goes on, is saved in the browser, and arrives once when the server is back', async ({
  page,
}) => {
  const id = await copyOf(page, 'Seeded crispbread');
  let sent = 0;
  await page.route(`**/api/k/*/formulas/${id}/revisions`, async (route) => {
    sent += 1;
    // the first save reaches the server, but its answer is lost on the way
    if (sent === 1) await route.fetch();
    if (sent <= 2) await route.abort();
    else await route.continue();
  });
  await cell(page, 'Water, weight').fill('380');
  await expect(page.locator('[data-testid="save-status"][data-state="unreachable"]')).toBeVisible();
  await expect(saved(page)).toContainText('version 2');
  expect(sent).toBeGreaterThanOrEqual(3);
  const revisions = (await (await page.request.get(`/api/k/-/formulas/${id}/revisions`)).json()) as unknown[];
  expect(revisions).toHaveLength(2);
});
