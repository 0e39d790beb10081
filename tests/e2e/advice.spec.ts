import { readFile } from 'node:fs/promises';
import { emptyOutcome } from '../../src/core/bake/outcome';
import { bakeOfOwn, tap } from './bakeOfOwn';
import { check } from './check';
import { cutPhoto } from './cutPhoto';
import { expect, test } from './kitchen';

/** Of the size the formula is for. */
const LOAVES = { mode: 'factor', factor: 1, pieceMassG: 1065, bowlLossPercent: 1 };
const raw = {
  type: 'closed',
  outcome: { ...emptyOutcome, coreTempC: 84, words: 'Stuck to the <knife>', again: 'changed' },
};
const tasted = (scores: object) => ({
  type: 'tasted',
  tastingId: crypto.randomUUID(),
  tasting: { taster: 'Imke', occasion: 'fresh', scores, words: '', rungId: null, blind: false },
});

test('a raw loaf, photographed and tasted: what it was, one change as the next version, the next batch holds it, and later it is seen whether that was right', async ({
  page,
}) => {
  // the first bakes of a kitchen wait for all that its shelf asks for
  test.slow();
  const started = await bakeOfOwn(page);
  const start = async (revision: number) => {
    const data = { requestId: crypto.randomUUID(), formulaId: started.formula, revision, batch: LOAVES };
    return ((await (await page.request.post(`${started.api}/bakes`, { data })).json()) as { id: string }).id;
  };
  const own = { ...started, bake: await start(1) };
  const jpeg = await cutPhoto();
  await tap(page, own, raw);
  await page.goto(`${own.at}/logbook/${own.bake}`);
  const next = page.getByTestId('next-change');
  // what to change nobody can say before anything was tasted
  await expect(next.getByText(/not what to change|Not enough was seen/)).toBeVisible({ timeout: 120_000 });
  await page.getByTestId('photos').getByLabel('Choose a file').setInputFiles({ name: 'cut.jpg', mimeType: 'image/jpeg', buffer: jpeg }); // prettier-ignore
  await expect(page.getByTestId('photos').getByText(/\d+ % porous/)).toBeVisible({ timeout: 30_000 });
  await tap(page, own, tasted({ gumminess: 1, denseLine: 2, height: 3 }));
  await page.reload();
  await expect(next.getByTestId('the-change')).toHaveText(/Bake it .* (longer|hotter)/, { timeout: 120_000 });
  await expect(next.getByRole('listitem').filter({ hasText: /Not baked through|oven was colder/ }).first()).toContainText('expected'); // prettier-ignore
  await expect(page.getByTestId('record').getByRole('row', { name: /Core out of the oven/ })).toContainText('outside'); // prettier-ignore
  await check(page);

  // one file for whoever has nothing of this: its pictures in it, no script, what was written only text
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Hand on as one file' }).click(),
  ]);
  const html = await readFile(await download.path(), 'utf8');
  expect(html).toContain('Stuck to the &lt;knife&gt;');
  expect(html).toContain('data:image/jpeg;base64,');
  expect(html).not.toMatch(/<script|https?:\/\/(?!www\.w3)/i);
  // somewhere else altogether
  const elsewhere = await page.context().newPage();
  await elsewhere.setContent(html);
  await expect(elsewhere.getByRole('heading', { level: 1 })).toHaveText('Millet and linseed tin loaf');
  await expect(elsewhere.getByRole('img')).toHaveCount(2);
  await elsewhere.close();

  await page.goto(`${own.at}/logbook/${own.bake}`);
  await next
    .getByRole('listitem')
    .filter({ hasText: 'Not baked through' })
    .getByRole('button', { name: 'It was this' })
    .click({ timeout: 120_000 });
  await expect(next.getByText('You said it was this')).toBeVisible();
  await next.getByRole('button', { name: /^Make it version 2/ }).click({ timeout: 120_000 });
  await expect(page).toHaveURL(new RegExp(`/formulas/${own.formula}/batch`));
  interface Version { readonly number: number; readonly formula: { readonly steps: readonly { readonly kind: string; readonly minS: number; readonly tempC: number }[] } } // prettier-ignore
  const versions = (await (await page.request.get(`${own.api}/formulas/${own.formula}/revisions`)).json()) as Version[]; // prettier-ignore
  const bake = (number: number) => versions.find((each) => each.number === number)!.formula.steps.find(({ kind }) => kind === 'bake')!; // prettier-ignore
  expect(bake(2).minS > bake(1).minS || bake(2).tempC > bake(1).tempC).toBe(true);

  const id = await start(2);
  const good = { ...raw, outcome: { ...raw.outcome, coreTempC: 98, words: '' } };
  await tap(page, { ...own, bake: id }, good, tasted({ gumminess: 5, denseLine: 5, height: 4 }));
  await page.goto(`${own.at}/logbook/advice`);
  await expect(page.getByText('1 of 1 right')).toBeVisible();
  await expect(page.getByRole('row', { name: /Millet and linseed/ })).toContainText('It was right.');
  await check(page);
  await page.getByRole('link', { name: 'the next bread' }).click();
  await expect(page).toHaveURL(new RegExp(`/logbook/${id}`));
});

test('the log as a table, what goes with better scores, and a bake that teaches nothing', async ({
  page,
}) => {
  const own = await bakeOfOwn(page);
  await tap(page, own, raw);
  await page.goto(`${own.at}/logbook`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'The log as a table (CSV)' }).click(),
  ]);
  const table = await readFile(await download.path(), 'utf8');
  expect(table.split('\r\n')[0]).toContain('hydrationPercent');
  expect(table).toContain('Stuck to the <knife>');
  await page.getByRole('link', { name: 'What goes with better scores' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('What goes with better scores');
  await check(page);
  await page.goto(`${own.at}/logbook/${own.bake}`);
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await expect(page.getByText('The models learn nothing from this bake.')).toBeVisible();
  await expect
    .poll(async () =>
      (await (await page.request.get(`${own.api}/bakes/${own.bake}?after=0`)).text()).includes('teachingSet'),
    ) // prettier-ignore
    .toBe(true);
});

test('a taster with a link fills in a card and sees nothing else; closed, it opens nothing', async ({
  page,
  browser,
}) => {
  const own = await bakeOfOwn(page);
  await tap(page, own, raw);
  await page.goto(`${own.at}/logbook/${own.bake}`);
  await page.getByRole('button', { name: 'A link for a taster' }).click();
  const dialog = page.getByRole('dialog', { name: 'A link for a taster' });
  await dialog.getByRole('button', { name: 'Make a link' }).click();
  const link = new URL(await dialog.getByTestId('taste-link').innerText()).pathname;
  await check(page);

  // somebody else's phone: it knows nothing of this kitchen
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, baseURL: new URL(page.url()).origin });
  const theirs = await phone.newPage();
  await theirs.goto(link);
  await expect(theirs.getByRole('heading', { level: 1 })).toContainText('Millet and linseed tin loaf');
  await expect(theirs.getByText('Stuck to the')).toHaveCount(0);
  await check(theirs);
  await theirs.getByLabel('Who tastes?').fill('Anna');
  await theirs.getByRole('radio', { name: /clean and set/ }).check();
  await theirs.getByRole('button', { name: 'Save this card' }).click();
  await expect(theirs.getByRole('status')).toContainText('Your card is with the baker');
  await page.reload();
  await expect(page.getByTestId('tastings')).toContainText('Anna');

  await page.getByRole('button', { name: 'A link for a taster' }).click();
  await dialog.getByRole('button', { name: 'Close it' }).click();
  await dialog.getByRole('button', { name: 'Yes, close it' }).click({ delay: 800 });
  await expect(dialog.getByText('Links that are open')).toHaveCount(0);
  await theirs.goto(link);
  await expect(theirs.getByText('This link opens nothing any more')).toBeVisible();
  await phone.close();
}); // prettier-ignore
