import { chmod, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { FORMULA_LIMITS } from '../../src/core/formula';
import { STEP_LIMITS } from '../../src/core/method';
import { plainLoaf } from '../../src/core/formula/testFormulas';
import { Crumb } from '../../scripts/faults/crumb';
import { test as base, type Page } from '@playwright/test';
import { cell, closeBake, expect, saved, startBake, watch } from './kitchen';

/** A page of that server, watched like every other. */
const test = base.extend<{ page: Page }>({
  page: async ({ browser }, hand) => {
    const context = await browser.newContext({ baseURL: crumb.url });
    const page = await context.newPage();
    const faults: string[] = [];
    watch(page, crumb.url, faults);
    await hand(page);
    await context.close();
    expect(faults).toEqual([]);
  },
});
test.describe.configure({ mode: 'serial' });

/** Against a ./crumb start of its own, whose database is frozen and whose kit is changed. */
let folder: string;
let crumb: Crumb;
test.beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'crumb-firm-'));
  await chmod(folder, 0o755);
  crumb = await Crumb.in(path.join(folder, 'home'));
  expect(await crumb.up(90_000)).not.toBeNull();
});
test.afterAll(async () => {
  await crumb.remove();
  await rm(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
});

test('with the database frozen every page says so within five seconds, data too, and comes back by itself', async ({
  page,
}) => {
  const pids = crumb.databaseProcesses;
  crumb.signalDatabase('SIGSTOP', true);
  try {
    const from = performance.now();
    const [answer, data] = await Promise.all([page.goto('/kit'), page.request.get('/api/k/-/kit')]);
    expect([answer?.status(), data.status()]).toEqual([503, 503]);
    expect(performance.now() - from).toBeLessThan(9000);
    await expect(page.getByRole('heading', { name: 'The database is away' })).toBeVisible();
    expect(answer?.headers()['content-security-policy']).toContain("default-src 'none'");
  } finally {
    for (const pid of pids) process.kill(pid, 'SIGCONT');
  }
  await expect(page.getByRole('heading', { name: 'Equipment', exact: true })).toBeVisible();
  // and a killed one is started again by whoever serves
  crumb.signalDatabase('SIGKILL');
  await expect.poll(() => crumb.output).toContain('The database was gone; it has been started again');
  await page.goto('/formulas');
  await expect(page.getByRole('heading', { name: 'Formulas' })).toBeVisible();
});

test('a kit changed without a network, and the tab closed: the next page sends it', async ({ page }) => {
  const context = page.context();
  await page.goto('/kit');
  await expect(page.getByTestId('kit-save')).toHaveAttribute('data-state', 'saved');
  await expect(page.locator('main[data-awake="true"]')).toBeVisible();
  await context.setOffline(true);
  await cell(page, 'Room').fill('23.5');
  await cell(page, 'Room').press('Enter');
  await expect(page.getByTestId('kit-save')).toHaveAttribute('data-state', 'unreachable');
  await page.close();
  await context.setOffline(false);
  const next = await context.newPage();
  const faults: string[] = [];
  watch(next, crumb.url, faults);
  await next.goto('/formulas');
  const room = async () =>
    ((await (await next.request.get('/api/k/-/kit')).json()) as { kit: { roomC: number } }).kit.roomC;
  await expect.poll(room).toBe(23.5);
  await next.goto('/kit');
  await expect(cell(next, 'Room')).toHaveValue('23.5');
  expect(faults).toEqual([]);
});

test('a sheet of more than 64 KB is saved like any other', async ({ page }) => {
  const step = (index: number) => ({
    id: `s${index}`, kind: 'mix', title: '…'.repeat(STEP_LIMITS.titleLength), note: '…'.repeat(STEP_LIMITS.cueLength), minS: 60, maxS: null, tempC: null, until: '…'.repeat(STEP_LIMITS.cueLength), handsOn: true,
  }); // prettier-ignore
  const formula = {
    ...plainLoaf(),
    name: 'Long',
    steps: Array.from({ length: 60 }, (_, index) => step(index)),
  };
  const lines = plainLoaf().stages[0]!.lines;
  formula.stages = plainLoaf().stages.map((stage, at) =>
    at > 0
      ? stage
      : {
          ...stage,
          lines: [
            ...lines,
            ...Array.from({ length: 50 }, (_, index) => ({
              ...lines[0]!,
              id: `l${index}`,
              massG: 1,
              note: '…'.repeat(FORMULA_LIMITS.noteLength),
            })),
          ],
        },
  );
  const made = await page.request.post('/api/k/-/formulas', {
    data: { requestId: crypto.randomUUID(), formula },
  });
  expect(made.status(), await made.text()).toBe(201);
  expect(Buffer.byteLength(JSON.stringify(formula))).toBeGreaterThan(64 * 1024);
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/formulas/${id}`);
  await expect(saved(page)).toBeVisible();
  await cell(page, 'Salt, weight').fill('12');
  await cell(page, 'Salt, weight').press('Enter');
  await expect(page.getByTestId('save-status')).toContainText('version 2');
});

test('a timer rings on whatever page is open; a bake closed by two presses is opened again in the logbook', async ({
  page,
}) => {
  const made = await page.request.post('/api/k/-/formulas', {
    data: { requestId: crypto.randomUUID(), formula: plainLoaf() },
  });
  const { id } = (await made.json()) as { id: string };
  const bake = await startBake(page, id);
  await page.goto('/formulas');
  const tap = (action: object) =>
    page.request.post(`/api/k/-/bakes/${bake}/taps`, {
      data: { taps: [{ eventId: crypto.randomUUID(), agoMs: 0, action }] },
    });
  await tap({ type: 'timerStarted', stepId: 'proof', durationS: 1 });
  await expect(page.getByRole('alert').filter({ hasText: 'Time is up' })).toBeVisible();
  await page.getByRole('link', { name: 'Go to it' }).click();
  await expect(page.getByTestId('clock')).toBeVisible();
  await page.getByRole('tab', { name: 'Log' }).click();
  await page.getByLabel('Pieces').fill('8');
  await closeBake(page);
  await expect(page).toHaveURL(new RegExp(`/logbook/${bake}`));
  await page.getByRole('button', { name: 'Reopen it' }).click();
  await page.waitForTimeout(750);
  // a slow network: the bench is not offered before the server knows, or the page would lead back here
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(`**/api/k/*/bakes/${bake}/taps`, async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('button', { name: 'Yes, reopen it' }).click();
  await expect(page.getByText('Saving …')).toBeVisible();
  await expect(page.getByRole('link', { name: 'To the bench' })).toBeHidden();
  letGo();
  await page.getByRole('link', { name: 'To the bench' }).click();
  await expect(page.getByRole('tab', { name: /Weigh/ })).toBeVisible();
  await page.goto(`/logbook/${bake}`);
  await expect(page.getByText(/Opened again/)).toBeVisible();
});

test('undo behind a dialog is the dialog’s own', async ({ page }) => {
  const made = await page.request.post('/api/k/-/formulas', {
    data: { requestId: crypto.randomUUID(), formula: plainLoaf() },
  });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/formulas/${id}`);
  await expect(saved(page)).toBeVisible();
  await cell(page, 'Salt, weight').fill('14');
  await cell(page, 'Salt, weight').press('Enter');
  await expect(page.getByTestId('save-status')).toContainText('version 2');
  const keys = page.getByRole('dialog');
  await page.getByRole('button', { name: 'Keyboard shortcuts (?)' }).click();
  await expect(keys).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Escape');
  await expect(keys).toBeHidden();
  await expect(cell(page, 'Salt, weight')).toHaveValue('14');
});
