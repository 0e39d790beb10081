import { execFile } from 'node:child_process';
import { createHash } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import type { Page } from '@playwright/test';
import { freePort } from '../../scripts/processes';
import { startHome } from './home';
import { expect, test, watch } from './kitchen';
import { cutPhoto } from './cutPhoto';

const HOME = path.join(tmpdir(), `crumb-restore-${process.pid}`);
const BACKUP = `${HOME}.backup`;
const KITCHEN = '/api/k/larkspur-lock';

/** ./crumb as one types it, for this home. */
async function crumb(...args: string[]): Promise<void> {
  const env: NodeJS.ProcessEnv = { ...process.env, CRUMB_HOME: HOME };
  delete env.DATABASE_URL;
  await promisify(execFile)('./crumb', args, { env });
}
const digest = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');

/** All that a kitchen is: its whole text, the pictures, and what the pages of a bake say. */
async function whole(page: Page, bake: string, photoId: string) {
  const file = await page.request.get(`${KITCHEN}/export`);
  const picture = await page.request.get(`${KITCHEN}/bakes/${bake}/photos/${photoId}`);
  expect([file.ok(), picture.ok()]).toEqual([true, true]);
  await page.goto(`/k/larkspur-lock/logbook/${bake}`);
  await expect(page.getByTestId('slices')).toContainText('next, taught by');
  await expect(page.getByTestId('record')).toContainText(/inside|outside/);
  const said = (id: string) => page.getByTestId(id).innerText();
  return {
    text: await file.text(),
    picture: digest(await picture.body()),
    slices: await said('slices'),
    photos: await said('photos'),
    record: await said('record'),
  };
}

test('a kitchen with a picture is backed up while it runs, wiped, and restored: text, picture and pages are equal', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const port = await freePort();
  const at = `http://127.0.0.1:${port}`;
  let server = await startHome(HOME, port);
  const stopped = async (): Promise<void> => {
    const ended = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGINT');
    await ended;
  };
  try {
    const page = await (await browser.newContext({ baseURL: at })).newPage();
    const faults: string[] = [];
    watch(page, at, faults);
    await page.goto('/k/larkspur-lock/logbook?find=millet');
    await page.getByRole('link', { name: /Millet and linseed tin loaf/ }).first().click();
    await page.waitForURL(/\/logbook\/[0-9a-f-]{36}/);
    const bake = /logbook\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? '';
    const photos = page.getByTestId('photos');
    const posted = page.waitForResponse((response) => /\/photos?\b/.test(response.url()) && response.request().method() !== 'GET');
    await photos.getByLabel('Choose a file').setInputFiles({ name: 'cut.jpg', mimeType: 'image/jpeg', buffer: await cutPhoto() });
    expect((await posted).ok()).toBe(true);
    await expect(photos.getByText(/\d+ % porous/)).toBeVisible();
    const log = async () =>
      ((await (await page.request.get(`${KITCHEN}/bakes/${bake}?after=0`)).json()) as { events: { action: { type: string; photoId?: string } }[] }).events;
    await expect.poll(async () => (await log()).at(-1)?.action.type).toBe('photoRead');
    const photoId = (await log()).at(-1)?.action.photoId ?? '';
    const before = await whole(page, bake, photoId);

    await crumb('backup', BACKUP);
    await stopped();
    await rm(HOME, { recursive: true, force: true, maxRetries: 20, retryDelay: 250 });
    await crumb('restore', BACKUP);
    server = await startHome(HOME, port);
    expect(await whole(page, bake, photoId)).toEqual(before);
    expect(faults).toEqual([]);
  } finally {
    await stopped();
    for (const left of [HOME, BACKUP]) await rm(left, { recursive: true, force: true, maxRetries: 20, retryDelay: 250 });
  }
}); // prettier-ignore
