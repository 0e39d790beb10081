import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { wallField } from '../../src/core/day/dayEdit';
import type { StartersDocument } from '../../src/core/starter/starterDocument';
import {
  checkNarrowAndDim,
  HOUR,
  kitchenOfOwn,
  laidOut,
  readyAt,
  savedDay,
  toSlot,
  ZONE,
  type Own,
} from './dayKitchen';
import { awake, expect, test, watch } from './kitchen';

const stored = async (page: Page, own: Own) =>
  (await (await page.request.get(`${own.api}/starters`)).json()) as {
    version: number;
    value: StartersDocument;
  };

test('a starter is kept: added, fed, ripe when it says, moved into the cold and taken back; two tabs do not write over one another', async ({ page, context, baseURL }) => {
  const own = await kitchenOfOwn(page);
  await page.goto(`${own.at}/starters`);
  await awake(page);
  await page.getByRole('button', { name: 'Add a starter' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByRole('alert')).toHaveText('It needs a name.');
  await dialog.getByLabel('Name', { exact: true }).fill('Mildred');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toHaveCount(0);
  const card = page.locator('[data-starter="Mildred"]');
  await expect(card.getByTestId('starter-state')).toHaveAttribute('data-state', 'unfed');

  await card.getByRole('button', { name: 'Fed', exact: true }).click();
  const form = card.getByTestId('feed-form');
  await form.getByRole('textbox', { name: 'Kept' }).fill('25');
  await form.getByLabel('When').fill(wallField(ZONE, Date.now() + 3 * HOUR));
  await form.getByRole('button', { name: 'Write down' }).click();
  await expect(form.getByRole('alert')).toHaveText('That has not happened yet.');
  await form.getByLabel('When').fill(wallField(ZONE, Date.now() - HOUR));
  await form.getByRole('button', { name: 'Write down' }).click();
  await expect(card.getByTestId('starter-state')).toHaveAttribute('data-state', 'rising');
  await expect(card.getByTestId('next-feed')).toContainText('keep 25 g, add 50 g flour and 50 g water, 100 g is left over');
  await expect(card).toContainText('125 g in the jar');
  await expect(page.getByTestId('starters-save')).toHaveText('Saved');

  await card.getByRole('button', { name: 'Into the fridge' }).click();
  await expect(card.getByTestId('starter-state')).toHaveAttribute('data-state', 'resting');
  await card.getByText('What happened').click();
  await card.getByRole('listitem').filter({ hasText: 'In the fridge' }).getByRole('button', { name: 'Take back' }).click();
  await expect(card.getByTestId('starter-state')).toHaveAttribute('data-state', 'rising');
  await expect(page.getByTestId('starters-save')).toHaveText('Saved');
  await expect.poll(async () => (await stored(page, own)).value.starters[0]!.log.map(({ kind }) => kind)).toEqual(['fed']);
  await checkNarrowAndDim(page, baseURL);

  // another tab that was open before
  const faults: string[] = [];
  const other = await context.newPage();
  watch(other, baseURL ?? '', faults);
  await other.goto(`${own.at}/starters`);
  await awake(other);
  await card.getByText('Weigh, take, throw away').click();
  await card.getByRole('textbox', { name: 'In the jar' }).fill('118');
  await card.getByRole('button', { name: 'Write down' }).first().click();
  await expect(card).toContainText('118 g in the jar');
  await expect(page.getByTestId('starters-save')).toHaveText('Saved');
  await other.locator('[data-starter="Mildred"]').getByRole('button', { name: 'At its highest now' }).click();
  await expect(other.getByTestId('starters-save')).toContainText('was not saved');
  expect((await stored(page, own)).value.starters[0]!.log.map(({ kind }) => kind)).toEqual(['fed', 'weighed']);
  expect(faults).toEqual([]);
}); // prettier-ignore

test('a starter fed on time: the day feeds it for the dough, the jar gives it, Today calls for it; ripe already it goes in as it is', async ({ page }) => {
  const own = await kitchenOfOwn(page);
  const fedMs = Date.now() - 40 * HOUR;
  const log = [{ kind: 'fed', id: crypto.randomUUID(), atMs: Math.round(fedMs), keptG: 40, flourG: 80, waterG: 80, place: 'room', tempC: 21, rest: 'away' }] as const;
  const starters = { starters: [{ id: crypto.randomUUID(), name: 'Mildred', ingredientId: 'sorghum-starter', school: 'ratio', keepG: 40, flourG: 80, waterG: 80, everyH: 24, begunMs: null, log: [...log] }] } satisfies StartersDocument;
  const kept = await page.request.post(`${own.api}/starters`, { data: { requestId: crypto.randomUUID(), seen: 0, starters } });
  expect(kept.status()).toBe(201);
  // a bread that takes it
  const demo = JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')) as { formulas: { key: string; revisions: { formula: { name: string } }[] }[] };
  const { formula } = demo.formulas.find(({ key }) => key === 'sorghum-baton')!.revisions.at(-1)!;
  const made = await page.request.post(`${own.api}/formulas`, { data: { requestId: crypto.randomUUID(), formula } });
  expect(made.status()).toBe(201);
  await readyAt(page, own, formula.name, toSlot(Date.now() + 24 * HOUR));
  const batch = page.locator(`[data-batch="${formula.name}"]`);
  await expect(batch.getByTestId('starter-short')).toHaveCount(0);
  await expect(page.getByTestId('agenda')).toContainText(/Feed Mildred: \d+ g of it, \d+ g flour, \d+ g water/);
  const { batches } = await savedDay(page, own);
  const [feedId, feed] = Object.entries(batches[0]!.at).find(([, { kind }]) => kind === 'feed')!;
  const mix = Object.values(batches[0]!.at).find(({ kind }) => kind === 'mix')!;
  expect(mix.startMs).toBeGreaterThanOrEqual(feed.endMs);
  expect((mix.startMs - feed.startMs) / HOUR).toBeLessThan(16);
  // Today calls for the jar's own feed, which is due first
  await page.goto(own.at);
  await expect(page.getByTestId('next-call')).toContainText('Feed Mildred');
  // fed for the dough, the jar has that much less; taken back, it has it again
  await page.goto(`${own.at}/day`);
  await laidOut(page);
  await page.locator(`button[data-block$="${feedId}"]`).press('ArrowLeft');
  await laidOut(page);
  const panel = page.getByTestId('block-panel');
  await panel.getByLabel('Begin at').fill(wallField(ZONE, toSlot(Date.now() + HOUR / 6)));
  await laidOut(page);
  await panel.getByRole('button', { name: 'Started now' }).click();
  await expect.poll(async () => (await stored(page, own)).value.starters[0]!.log.map(({ kind }) => kind)).toEqual(['fed', 'taken']);
  await panel.getByRole('button', { name: 'It was not so' }).click();
  await expect.poll(async () => (await stored(page, own)).value.starters[0]!.log.map(({ kind }) => kind)).toEqual(['fed']);

  // what is ripe in the jar goes in as it is
  const { version, value } = await stored(page, own);
  const [mildred] = value.starters;
  const ripe = { ...mildred!, log: [...mildred!.log, { ...mildred!.log[0]!, id: crypto.randomUUID(), atMs: Math.round(Date.now() - 7.5 * HOUR), keptG: 60, flourG: 120, waterG: 120 }] };
  const told = await page.request.post(`${own.api}/starters`, { data: { requestId: crypto.randomUUID(), seen: version, starters: { starters: [ripe] } } });
  expect(told.status()).toBe(201);
  await readyAt(page, own, formula.name, 'Start now');
  await expect(batch.filter({ hasText: 'of Mildred as it is: ripe in the jar.' })).toHaveCount(1);
}); // prettier-ignore
