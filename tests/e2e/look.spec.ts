import { emptyOutcome } from '../../src/core/bake/outcome';
import { eightRolls } from '../../src/core/batch/testBatch';
import { bakeOfOwn, tap, type Baking } from './bakeOfOwn';
import { check } from './check';
import { cutPhoto } from './cutPhoto';
import { expect, test } from './kitchen';
import type { Page } from '@playwright/test';

const closed = { type: 'closed', outcome: { ...emptyOutcome, scores: { ...emptyOutcome.scores, crumb: 2 } } };
const added = { type: 'added', ingredientId: 'psyllium-husk', massG: 6, note: 'too wet' };

interface Logged { readonly events: readonly { readonly action: { readonly type: string; readonly crumb?: { readonly marks: unknown[]; readonly porosityPercent: number } } }[] } // prettier-ignore
const log = async (page: Page, { api, bake }: Baking) =>
  ((await (await page.request.get(`${api}/bakes/${bake}?after=0`)).json()) as Logged).events;

test('a slice is photographed without a network, read when it has come, put right by hand, and tasted by two', async ({
  page,
  context,
}) => {
  const own = await bakeOfOwn(page);
  await tap(page, own, added, closed);
  await page.goto(`${own.at}/logbook/${own.bake}`);
  const photos = page.getByTestId('photos');
  await context.setOffline(true);
  await photos
    .getByLabel('Choose a file')
    .setInputFiles({ name: 'IMG_1.jpg', mimeType: 'image/jpeg', buffer: await cutPhoto() });
  await expect(photos.getByText('Waiting for the server')).toBeVisible();
  await context.setOffline(false);
  await expect(photos.getByText(/\d+ % porous/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByTestId('slices')).toContainText('Holes to be seen');
  const types = async () => (await log(page, own)).map(({ action }) => action.type);
  // shown at once, and a moment later on the server
  await expect.poll(async () => (await types()).filter((type) => /photo/.test(type))).toEqual(['photographed', 'photoRead']); // prettier-ignore
  // and the next is drawn by it, without the page being asked for anew
  await expect(page.getByTestId('slices')).toContainText('next, taught by this cut');
  const before = (await types()).length;

  // what phones save by default is not read here: it is said what to do
  const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(900)]);
  await photos.getByLabel('Choose a file').setInputFiles({ name: 'IMG_2.HEIC', mimeType: 'image/heic', buffer: heic }); // prettier-ignore
  await expect(photos.getByRole('alert')).toContainText('HEIC');
  expect(await types()).toHaveLength(before);

  await photos.getByRole('button', { name: /The cut face/ }).click();
  const dialog = page.getByRole('dialog', { name: 'The cut face' });
  await expect(dialog.getByText('Longest hole')).toBeVisible();
  await dialog.getByText('Large', { exact: true }).click();
  const marks = dialog.getByRole('group', { name: /Marks on the picture/ });
  await marks.click({ position: { x: 60, y: 60 } });
  // outside the slice nothing is changed by it; by the keys in its middle it is
  await marks.press('ArrowRight');
  await marks.press('Enter');
  await check(page);
  await dialog.getByRole('button', { name: 'Save these figures' }).click();
  await expect(dialog).toHaveCount(0);
  await expect
    .poll(
      async () =>
        (await log(page, own)).findLast(({ action }) => action.type === 'photoRead')?.action.crumb?.marks
          .length,
    ) // prettier-ignore
    .toBe(2);

  await page.getByRole('link', { name: 'Taste it' }).click();
  const card = async (who: string, height: RegExp) => {
    await page.getByLabel('Who tastes?').fill(who);
    await page.getByRole('radio', { name: height }).check();
    await page.getByRole('radio', { name: /^4: nearly clean/ }).check();
    await page.getByRole('button', { name: 'Save this card' }).click();
    await expect(page.getByText(`thanks to ${who}`)).toBeVisible();
  };
  await page.getByRole('button', { name: 'Save this card' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing is said yet' })).toBeVisible();
  await check(page);
  await card('Anna', /^2: low/);
  // half filled in it outlives a reload
  await page.getByLabel('Who tastes?').fill('Ole');
  await page.reload();
  await expect(page.getByLabel('Who tastes?')).toHaveValue('Ole');
  await card('Ole', /^4: well risen/);
  await page.getByRole('link', { name: 'the bake' }).click();
  const tastings = page.getByTestId('tastings');
  await expect(tastings.getByRole('row', { name: /Height/ })).toContainText('3risen some');
  await tastings.getByRole('listitem').filter({ hasText: 'Anna' }).getByRole('link', { name: 'Put right' }).click(); // prettier-ignore
  await page.getByRole('radio', { name: /^3: risen some/ }).check();
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText('thanks to Anna')).toBeVisible();
  await page.goto(`${own.at}/logbook/${own.bake}`);
  await expect(tastings.getByRole('row', { name: /Height/ })).toContainText('3.5');
  await expect(tastings).toContainText('Height 2');
});

test('what was done at the bench becomes the formula, the next batch holds it, and both are laid side by side', async ({
  page,
}) => {
  const own = await bakeOfOwn(page);
  await tap(page, own, added, closed);
  await page.goto(`${own.at}/logbook/${own.bake}`);
  await page.getByRole('button', { name: 'Bake it again' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bake it again' });
  await expect(dialog.getByLabel(/6 g added/)).toBeChecked();
  await check(page);
  await dialog.getByRole('button', { name: 'Make this my formula, and bake it' }).click();
  await expect(page).toHaveURL(new RegExp(`/formulas/${own.formula}/batch`));
  interface Head { readonly revision: number; readonly formula: { readonly stages: readonly { readonly lines: readonly { readonly ingredientId: string; readonly massG: number }[] }[] } } // prettier-ignore
  const head = async (revision: number) => {
    const read = (await (await page.request.get(`${own.api}/formulas/${own.formula}/revisions`)).json()) as (Head & { number: number })[]; // prettier-ignore
    const { formula } = read.find(({ number }) => number === revision)!;
    return formula.stages.flatMap(({ lines }) => lines).filter(({ ingredientId }) => ingredientId === 'psyllium-husk').reduce((sum, { massG }) => sum + massG, 0); // prettier-ignore
  };
  expect(await head(2)).toBeGreaterThan(await head(1));

  const answer = await page.request.post(`${own.api}/bakes`, {
    data: { requestId: crypto.randomUUID(), formulaId: own.formula, revision: 2, batch: eightRolls },
  });
  const { id } = (await answer.json()) as { id: string };
  const better = { ...closed.outcome, scores: { ...closed.outcome.scores, crumb: 5 } };
  await tap(page, { ...own, bake: id }, { type: 'closed', outcome: better });
  await page.goto(`${own.at}/logbook`);
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await page.getByRole('link', { name: 'Lay these 2 side by side' }).click();
  await expect(page.getByRole('row', { name: /^crumb/ })).toContainText('5');
  await expect(page.getByRole('row', { name: /^crumb/ })).toContainText('2');
  await page.getByRole('button', { name: /more are alike/ }).first().click(); // prettier-ignore
  // once by the spoon, once as it is written: the same dough
  await expect(page.getByRole('row', { name: /Psyllium husk/ })).toBeVisible();
  await check(page);
  await page.goto(`${own.at}/logbook/compare?bakes=nonsense,${crypto.randomUUID()}`);
  await expect(page.getByText('Choose two to six bakes')).toBeVisible();
});

test('a ladder of three: weighed out from one dough, tasted by its codes, and what three points can say', async ({
  page,
}) => {
  const own = await bakeOfOwn(page);
  await page.goto(`${own.at}/formulas/${own.formula}/batch`);
  await page.getByRole('link', { name: 'As a ladder' }).click();
  await expect(page.getByRole('row', { name: /^±0 points/ })).toContainText('Water');
  const rung = page.getByLabel('Rung 1', { exact: true });
  await rung.fill('9');
  // no ladder goes up and down: it is said, and nothing is started
  await expect(page.getByRole('alert').first()).toBeVisible();
  await rung.fill('-8');
  await expect(page.getByRole('row', { name: /^−8 points/ })).toContainText('nothing more');
  await check(page);
  await page.getByRole('button', { name: 'To the bench' }).click();
  await expect(page).toHaveURL(/\/bench\//);
  const bake = /bench\/([0-9a-f-]{36})/.exec(page.url())![1]!;
  await tap(page, { ...own, bake }, closed);
  await page.goto(`${own.at}/logbook/${bake}/taste`);
  await page.getByLabel('Who tastes?').fill('Anna');
  const breads = page.getByRole('radiogroup', { name: 'Which bread, by its code?' }).getByRole('radio');
  await expect(breads).toHaveCount(3);
  for (const [index, verdict] of [/^2: eaten/, /^5: asks/, /^3: fine/].entries()) {
    await expect(breads.nth(index)).toBeChecked();
    await page
      .getByRole('group', { name: /^Verdict/ })
      .getByRole('radio', { name: verdict })
      .check();
    await page.getByRole('button', { name: 'Save this card' }).click();
    // the next bread for the same taster, after the last one for the next
    await expect(page.getByLabel('Who tastes?')).toHaveValue(index < 2 ? 'Anna' : '');
  }
  await page.goto(`${own.at}/logbook/${bake}`);
  const ladder = page.getByTestId('ladder');
  await expect(ladder).toContainText(
    /±0 points is the best of them, as far as these cards tell: \d\d % likely/,
  );
  await expect(ladder).toContainText('never make certain');
  await expect(ladder.getByText(/would teach most/)).toBeVisible();
  await check(page);
});
