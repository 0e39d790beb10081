import { rm } from 'node:fs/promises';
import { connect } from 'node:tls';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from '../../scripts/processes';
import { check } from './check';
import { startHome } from './home';
import { awake, expect, test } from './kitchen';

const HOME = path.join(tmpdir(), `crumb-network-${process.pid}`);

/** The authority whose certificate is shown, by its fingerprint. */
const shownBy = (port: number): Promise<string> =>
  new Promise((resolve, reject) => {
    const socket = connect({ host: '127.0.0.1', port, rejectUnauthorized: false }, () => {
      resolve(String(socket.getPeerCertificate(true).subject.CN));
      socket.destroy();
    });
    socket.on('error', reject);
  });

test('a tablet of the network is paired with a code, works at the bench of its kitchen and nowhere else, and is withdrawn', async ({ browser }) => {
  test.setTimeout(180_000);
  const port = await freePort();
  const crumb = await startHome(HOME, port, 'inherit', { CRUMB_LISTEN: '0.0.0.0' });
  try {
    const machine = await (await browser.newContext({ baseURL: `http://127.0.0.1:${port}` })).newPage();
    // trusted, as a device is told to; its origin is another than the machine's
    const tablet = await (await browser.newContext({ baseURL: `https://localhost:${port}`, ignoreHTTPSErrors: true, viewport: { width: 820, height: 1180 } })).newPage();
    await machine.goto('/');
    await machine.goto('/k/larkspur-lock/kit');
    const card = machine.getByRole('region', { name: 'Tablets and phones in the network' });
    await expect(card.getByTestId('fingerprint')).toHaveText(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
    expect(await shownBy(port)).toBe('Honest Crumb');
    await tablet.goto('/k/larkspur-lock/bench');
    await expect(tablet).toHaveURL(/\/pair$/);
    await tablet.getByLabel('Code').fill('1234');
    await tablet.getByRole('button', { name: 'Pair this device' }).click();
    await expect(tablet.getByText('Eight digits.', { exact: true })).toBeVisible();
    await card.getByLabel('Name').fill('Bench tablet');
    await card.getByRole('button', { name: 'Get a code' }).click();
    const codeOf = async () => /(\d{4}) (\d{4})/.exec((await card.getByTestId('pairing-code').textContent()) ?? '')!;
    const code = await codeOf();
    await check(machine);
    const wrong = String((Number(code[1]! + code[2]!) + 1) % 100_000_000).padStart(8, '0');
    await tablet.getByLabel('Code').fill(wrong);
    await tablet.getByRole('button', { name: 'Pair this device' }).click();
    await expect(tablet.getByText('There is no such code')).toBeVisible();
    await check(tablet);
    await tablet.getByLabel('Code').fill(code[0]);
    await tablet.getByRole('button', { name: 'Pair this device' }).click();
    await expect(tablet).toHaveURL(/\/k\/larkspur-lock$/);
    // the key is for no script, and for no plain connection
    const [key] = (await tablet.context().cookies()).filter(({ name }) => name === '__Host-crumb-device');
    expect(key).toMatchObject({ httpOnly: true, secure: true, sameSite: 'Strict', path: '/' });
    // at the bench: what it does is done for everybody
    await machine.goto('/k/larkspur-lock/formulas');
    await machine.getByRole('link', { name: /Millet and linseed tin loaf/ }).first().click();
    await machine.getByRole('link', { name: 'Make a batch' }).or(machine.getByRole('button', { name: 'Make a batch' })).first().click();
    await machine.getByRole('button', { name: 'To the bench' }).click();
    await expect(machine).toHaveURL(/\/bench\//);
    const { pathname } = new URL(machine.url());
    await tablet.goto(`${pathname}?at=weigh`);
    await awake(tablet);
    const target = machine.getByTestId('target');
    const first = (await target.textContent()) ?? '';
    await tablet.getByRole('button', { name: 'In the bowl', exact: true }).click();
    await expect(target).not.toHaveText(first);
    // nowhere else
    await tablet.goto('/kitchens');
    await expect(tablet).toHaveURL(/\/k\/larkspur-lock$/);
    const asked = (at: string, data?: object) =>
      tablet.evaluate(([where, body]) => fetch(where, body ? { method: 'POST', headers: { 'content-type': 'application/json' }, body } : {}).then(({ status }) => status), [at, data ? JSON.stringify(data) : ''] as const);
    expect(await asked('/api/k/larkspur-lock/devices')).toBe(403);
    expect(await asked('/api/k/larkspur-lock/kit', {})).toBe(403);
    expect(await asked('/api/k/larkspur-lock/timers')).toBe(200);
    await tablet.goto('/k/larkspur-lock/kit');
    await expect(tablet.getByText('Devices are paired and withdrawn on the machine')).toBeVisible();
    await expect(tablet.getByTestId('device-note')).toContainText('This device bakes here');
    // withdrawn: the next page asks for a code, what was pressed meanwhile waits
    await tablet.goto(`${pathname}?at=weigh`);
    await awake(tablet);
    await machine.goto('/k/larkspur-lock/kit');
    const row = machine.getByRole('group', { name: 'Bench tablet' });
    const remove = row.getByRole('button');
    await remove.click();
    await machine.waitForTimeout(720);
    await remove.click();
    await expect(row).toHaveCount(0);
    await expect.poll(() => asked('/api/k/larkspur-lock/timers')).toBe(401);
    await tablet.getByRole('button', { name: 'In the bowl', exact: true }).click();
    await expect(tablet.getByText('The server does not answer')).toContainText('saved on this device');
    await expect(tablet.getByTestId('device-note')).toContainText('not paired with the kitchen any more');
    await tablet.evaluate(async () => void (await caches.open('crumb-pages of before')));
    await tablet.goto('/k/larkspur-lock');
    await expect(tablet).toHaveURL(/\/pair$/);
    // pages that were kept here are gone with the key
    await expect.poll(() => tablet.evaluate(() => caches.keys())).toEqual([]);
    // paired again it sends what waited
    const weighed = async () => ((await (await machine.request.get(`/api/k/larkspur-lock/bakes/${pathname.split('/').at(-1)}?after=0`)).json()) as { events: { action: { type: string } }[] }).events.filter(({ action }) => action.type === 'weighed').length;
    expect(await weighed()).toBe(1);
    await card.getByLabel('Name').fill('Bench tablet');
    await card.getByRole('button', { name: 'Get a code' }).click();
    await tablet.getByLabel('Code').fill((await codeOf())[0]);
    await tablet.getByRole('button', { name: 'Pair this device' }).click();
    await expect(tablet).toHaveURL(/\/k\/larkspur-lock$/);
    await expect.poll(weighed).toBe(2);
    // the machine itself needs no code
    await machine.goto('/pair');
    await expect(machine.getByText('This machine needs no code')).toBeVisible();
  } finally {
    crumb.kill('SIGTERM');
    await new Promise((resolve) => crumb.on('exit', resolve));
    await rm(HOME, { recursive: true, force: true });
  }
}); // prettier-ignore
