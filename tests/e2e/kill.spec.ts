import { readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import type { Page } from '@playwright/test';
import path from 'node:path';
import { freePort } from '../../scripts/processes';
import { startHome } from './home';
import { copyOf, expect, test, watch } from './kitchen';
import { baked, playOn, playOut, recordOf, toBench, told, type Player } from './play';

const HOME = path.join(tmpdir(), `crumb-kill-${process.pid}`);

const pidIn = async (file: string, home = HOME): Promise<number> =>
  Number((await readFile(path.join(home, file), 'utf8')).split('\n')[0]);

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

/** The server has what was pressed, and the page knows: only then is what is pressed later all that waits. */
function toldAll(page: Page): () => Promise<void> {
  let open = 0;
  const count = (by: number) => (request: { url: () => string }) => {
    if (request.url().endsWith('/taps')) open += by;
  };
  page.on('request', count(1));
  page.on('requestfinished', count(-1));
  page.on('requestfailed', count(-1));
  return () => expect.poll(() => open).toBe(0);
}

test('server and database are killed in the middle of a timer: after the next start the bake is where it was', async ({
  browser,
}) => {
  test.setTimeout(180_000);
  const port = await freePort();
  const home = `http://127.0.0.1:${port}`;
  let crumb = await startHome(HOME, port);
  try {
    const context = await browser.newContext({ baseURL: home });
    const page = await context.newPage();
    const faults: string[] = [];
    watch(page, home, faults);
    const hasAll = toldAll(page);
    await copyOf(page, 'Chickpea and rice griddle flats');
    await page.getByRole('button', { name: 'Make a batch' }).click();
    await page.getByRole('button', { name: 'To the bench' }).click();
    const lines = Number(/\d+\/(\d+)/.exec(await page.getByRole('tab', { name: /Weigh/ }).innerText())?.[1]);
    for (let line = 0; line < lines; line++)
      await page.getByRole('button', { name: 'In the bowl', exact: true }).click();
    await page.getByRole('button', { name: 'Start 4 min' }).click();
    await expect(page.getByTestId('clock')).toBeVisible();
    const bake = /\/bench\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';
    const log = async () =>
      (await (await page.request.get(`/api/k/-/bakes/${bake}`)).json()) as {
        events: { atMs: number; action: { type: string; durationS?: number } }[];
      };
    await expect.poll(async () => (await log()).events.length).toBe(lines + 1);
    const timer = (await log()).events.at(-1)!;
    await hasAll();

    // the power goes: the server and the database, neither of them asked first
    const [server, database] = [crumb.pid ?? 0, await pidIn('pg/postmaster.pid')];
    process.kill(server, 'SIGKILL');
    process.kill(database, 'SIGKILL');
    await expect.poll(() => isAlive(server) || isAlive(database)).toBe(false);

    // the bench goes on without them: the timer runs, and what is pressed now is saved on the device
    await page.getByRole('button', { name: '5 min', exact: true }).click();
    await page.getByRole('button', { name: 'Note', exact: true }).click();
    await page.getByRole('textbox', { name: 'Note' }).fill('the lights removed');
    await page.getByRole('button', { name: 'Save the note' }).click();
    await expect(page.getByText(/The server does not answer. Go on: 2 saved on this device/)).toBeVisible();

    crumb = await startHome(HOME, port, 'pipe');
    await expect.poll(async () => (await log()).events.length, { timeout: 30_000 }).toBe(lines + 3);
    await expect(page.getByText('The server does not answer.')).toBeHidden();
    await page.reload();
    const { events } = await log();
    expect(events[lines]).toEqual(timer);
    const off = () =>
      page.getByTestId('clock').evaluate((clock, startedMs) => {
        const [minutes = 0, seconds = 0] = (clock.textContent ?? '').split(':').map(Number);
        return Math.abs(minutes * 60 + seconds - (240 + 300 - (Date.now() - startedMs) / 1000));
      }, timer.atMs);
    // until it is awake a page shows the time at which it was sent
    await expect.poll(off).toBeLessThan(3);
    await page.goto('/');
    await expect(
      page
        .getByRole('link', { name: /Chickpea and rice griddle flats \(copy\)/ })
        .filter({ hasText: 'left of' }),
    ).toBeVisible();
    // whoever read its words is gone, and it has something to say
    crumb.stderr?.destroy();
    const refused = await page.request.get('/api/health', { headers: { host: 'kitchen.example' } });
    expect(refused.status()).toBe(403);
    // and it can be stopped as it should be: both gone, the data still there
    const [again, postmaster] = [crumb.pid ?? 0, await pidIn('pg/postmaster.pid')];
    await context.close();
    crumb.kill('SIGINT');
    await expect.poll(() => isAlive(again) || isAlive(postmaster), { timeout: 20_000 }).toBe(false);
    expect(faults).toEqual([]);
  } finally {
    crumb.kill('SIGINT');
    await rm(HOME, { recursive: true, force: true, maxRetries: 20, retryDelay: 250 });
  }
});

test('a loaf is played while server and database are killed in its proof: its record is that of a bake to which nothing happened', async ({ browser }) => {
  test.setTimeout(240_000);
  const home = `${HOME}-play`;
  const port = await freePort();
  let crumb = await startHome(home, port);
  try {
    const page = await (await browser.newContext({ baseURL: `http://127.0.0.1:${port}` })).newPage();
    const hasAll = toldAll(page);
    const records: string[][] = [];
    for (const isKilled of [false, true]) {
      const bake = await baked(page, 'Millet and linseed tin loaf');
      const player: Player = { page, scale: null, spare: true, asked: [], taps: 0 };
      await toBench(page, bake);
      const here = page.getByRole('region', { name: 'Step now' }).getByRole('heading', { level: 2 });
      while (isKilled && !(await here.filter({ hasText: 'Proof' }).isVisible())) await playOn(player);
      if (isKilled) {
        await expect(page.getByTestId('clock')).toBeVisible();
        // the proof's own clock, its fifth step: the one of the rest before it was started alike
        await expect.poll(async () => told(await recordOf(page, bake)).at(-1)).toBe('timerStarted s5');
        await hasAll();
        const before = (await recordOf(page, bake)).length;
        const [server, database] = [crumb.pid ?? 0, await pidIn('pg/postmaster.pid', home)];
        process.kill(server, 'SIGKILL');
        process.kill(database, 'SIGKILL');
        await expect.poll(() => isAlive(server) || isAlive(database)).toBe(false);
        // risen, and what lies on it weighed, with nobody there to be told
        await playOn(player);
        await playOn(player);
        await expect(page.getByText(/The server does not answer. Go on: 2 saved/)).toBeVisible();
        crumb = await startHome(home, port);
        await expect.poll(async () => (await recordOf(page, bake)).length, { timeout: 30_000 }).toBe(before + 2);
      }
      await playOut(player);
      records.push(told(await recordOf(page, bake)));
    }
    expect(records[0]!.length).toBeGreaterThan(20);
    expect(records[1]).toEqual(records[0]);
  } finally {
    crumb.kill('SIGINT');
    await rm(home, { recursive: true, force: true, maxRetries: 20, retryDelay: 250 });
  }
}); // prettier-ignore
