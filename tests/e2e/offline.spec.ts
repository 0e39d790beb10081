import type { BrowserContext, Page } from '@playwright/test';
import { bakeOfOwn, stepOf, tap, type Baking } from './bakeOfOwn';
import { check } from './check';
import { isKept } from './kept';
import { awake, expect, test, watch } from './kitchen';

test.use({ serviceWorkers: 'allow' });

interface Log {
  readonly events: readonly { readonly seq: number; readonly action: { readonly type: string; readonly text?: string } }[];
} // prettier-ignore
const logOf = async (page: Page, { api, bake }: Baking): Promise<Log['events']> =>
  ((await (await page.request.get(`${api}/bakes/${bake}?after=0`)).json()) as Log).events;

/** Writes something down at the bench. */
async function note(page: Page, text: string): Promise<void> {
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByRole('dialog').getByRole('textbox').fill(text);
  await page.getByRole('dialog').getByRole('button', { name: 'Save the note' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

const clockOf = (page: Page) => page.getByTestId('clock').first();

test('without a network the bench opens again with all that was known and done, rings, and tells the server once when it is back', async ({
  page,
  context,
}) => {
  const own = await bakeOfOwn(page);
  const bench = `${own.at}/bench/${own.bake}`;
  await page.goto(own.at);
  await isKept(page, own.at, bench);
  await page.goto(`${bench}?at=steps`);
  await awake(page);
  await note(page, 'Before');
  await expect.poll(async () => (await logOf(page, own)).length).toBe(1);
  await tap(page, own, { type: 'timerStarted', stepId: await stepOf(page, own, 'proof'), durationS: 2 });
  // the device knows of it
  const known = () => page.evaluate(() => JSON.parse(localStorage.getItem('crumb-timers') ?? '{}') as { timers?: { bakeId: string }[] });
  await expect.poll(async () => (await known()).timers?.map(({ bakeId }) => bakeId)).toContain(own.bake);
  await context.setOffline(true);
  await note(page, 'Without a network');
  // the page lies here as it was before either of them
  await page.reload();
  await awake(page);
  await expect(page.getByText('Without the server: this page is as it was at')).toBeVisible();
  await check(page);
  await note(page, 'After a reload');
  await page.goto(`${own.at}/orders`);
  await expect(page.getByRole('heading', { name: 'This page is not on this device yet' })).toBeVisible();
  await page.getByRole('link', { name: /Millet and linseed/ }).first().click();
  await awake(page);
  await note(page, 'And from there');
  await page.goto(own.at);
  await expect(page.getByRole('alert').filter({ hasText: 'Time is up' })).toBeVisible();
  expect(await logOf(page, own)).toHaveLength(2);
  await context.setOffline(false);
  const texts = async () => (await logOf(page, own)).flatMap(({ action }) => action.text ?? []);
  await expect.poll(texts).toEqual(['Before', 'Without a network', 'After a reload', 'And from there']);
  await expect(page.getByText('Without the server:')).toHaveCount(0);
  // its clock rings in every kitchen until it is over
  await tap(page, own, { type: 'abandoned', reason: 'a test' });
}); // prettier-ignore

test('eight tabs hear of what another device does by one stream, and ask for nothing while nothing happens', async ({
  page,
  context,
  browser,
  baseURL,
}) => {
  const own = await bakeOfOwn(page);
  const proof = await stepOf(page, own, 'proof');
  const bench = `${own.at}/bench/${own.bake}?at=steps&step=${proof}`;
  const streams: string[] = [];
  const asked: string[] = [];
  const faults: string[] = [];
  const count = (each: BrowserContext) =>
    each.on('request', (request) => {
      if (request.url().endsWith('/api/news')) streams.push(request.url());
      else if (/\/bakes\/[^/]+\?after=/.test(request.url())) asked.push(request.url());
    });
  count(context);
  const tabs = [page, ...(await Promise.all(Array.from({ length: 7 }, () => context.newPage())))];
  for (const tab of tabs) {
    watch(tab, baseURL ?? '', faults);
    await tab.goto(bench);
    await awake(tab);
  }
  const phone = await browser.newContext();
  await tap(await phone.newPage(), own, { type: 'timerStarted', stepId: proof, durationS: 3000 });
  for (const tab of tabs) await expect(clockOf(tab)).toBeVisible();
  expect(streams).toHaveLength(1);
  const before = asked.length;
  // longer than it used to be asked for
  await page.waitForTimeout(5000);
  expect(asked.length).toBe(before);
  // the tab that carries it goes: another does, and all hear again
  await page.close();
  await expect.poll(() => streams.length).toBe(2);
  await tap(await phone.newPage(), own, { type: 'timerStopped', stepId: proof });
  for (const tab of tabs.slice(1)) await expect(tab.getByRole('timer')).toContainText('stopped');
  expect(faults).toEqual([]);
  await tap(await phone.newPage(), own, { type: 'abandoned', reason: 'a test' });
  await phone.close();
});
