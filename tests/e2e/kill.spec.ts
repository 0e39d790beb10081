import { readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from '../../scripts/processes';
import { startHome } from './home';
import { copyOf, expect, test, watch } from './kitchen';

const HOME = path.join(tmpdir(), `crumb-kill-${process.pid}`);

const pidIn = async (file: string): Promise<number> =>
  Number((await readFile(path.join(HOME, file), 'utf8')).split('\n')[0]);

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
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
