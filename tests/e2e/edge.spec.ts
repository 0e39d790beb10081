import { request as httpRequest } from 'node:http';
import { awake, copyOf, expect, test } from './kitchen';

interface Head {
  revision: number;
  formula: { name: string; about: string; stages: { lines: { massG: number }[] }[] };
}

test('the server takes nothing impossible, and says where it is wrong', async ({ page }) => {
  const id = await copyOf(page, 'Poppy rings');
  const url = `/api/k/-/formulas/${id}/revisions`;
  const head = async () => (await (await page.request.get(`/api/k/-/formulas/${id}`)).json()) as Head;
  const { formula } = await head();
  const post = async (change: (copy: Head['formula']) => void, rest: object = {}) => {
    const copy = structuredClone(formula);
    change(copy);
    const answer = await page.request.post(url, {
      data: { requestId: crypto.randomUUID(), seen: 1, formula: copy, ...rest },
    });
    const body = (await answer.json()) as {
      error?: { kind: string; problems?: { path: string; code: string }[] };
    };
    const first = body.error?.problems?.[0];
    return [answer.status(), body.error?.kind, first && `${first.path}:${first.code}`];
  };
  expect(await post((copy) => (copy.stages[0]!.lines[0]!.massG = -1))).toEqual([
    422,
    'invalid',
    'formula.stages.0.lines.0.massG:tooSmall',
  ]);
  expect(await post((copy) => (copy.stages[0]!.lines[5]!.massG = 99_000))).toEqual([
    422,
    'invalid',
    'stages.0.lines.5.massG:tooWet',
  ]);
  expect(await post((copy) => (copy.about = 'x'.repeat(5000)))).toEqual([
    422,
    'invalid',
    'formula.about:tooLong',
  ]);
  expect(await post((copy) => (copy.about = 'x'.repeat(1_000_000)))).toEqual([413, 'tooBig', undefined]);
  expect(await post((copy) => (copy.name = 'nul\u0000'))).toEqual([422, 'invalid', 'formula.name:control']);
  expect(await post(() => undefined, { seen: 99 })).toEqual([409, 'stale', undefined]);
  expect(await post(() => undefined, { requestId: 'x' })).toEqual([422, 'invalid', 'requestId:notAllowed']);
  expect(await post(() => undefined, { extra: 1 })).toEqual([422, 'invalid', ':notAllowed']);
  const raw = (data: string, headers: Record<string, string> = { 'content-type': 'application/json' }) =>
    page.request.post(url, { data: Buffer.from(data), headers }).then((answer) => answer.status());
  expect(await raw('{"requestId":')).toBe(400);
  expect(await raw('[]', { 'content-type': 'text/plain' })).toBe(415);
  expect((await head()).revision).toBe(1);
  for (const path of [
    '/api/k/-/formulas/nonsense',
    `/api/k/-/formulas/${crypto.randomUUID()}`,
    '/api/k/-/bakes/../../etc',
    `/api/k/-/bakes/${crypto.randomUUID()}`,
  ]) {
    expect((await page.request.get(path)).status()).toBe(404);
  }
  await page.goto(`/formulas/${crypto.randomUUID()}`);
  await expect(page.getByText('Page not found')).toBeVisible();
  // what leads nowhere holds nothing of the kitchen; what leads somewhere does
  expect(await (await page.request.get('/nowhere/at/all')).text()).not.toContain('own-quay-jar');
  expect(await (await page.request.get('/ingredients')).text()).toContain('own-quay-jar');
  await page.goto('/nowhere/at/all');
  await expect(page.getByText('Page not found')).toBeVisible();
});

test('only this machine’s own pages may talk to it', async ({ page, baseURL }) => {
  const home = new URL(baseURL ?? '');
  const ask = (path: string, headers: Record<string, string>, body?: string) =>
    new Promise<number>((resolve, reject) => {
      const sent = httpRequest(
        { host: '127.0.0.1', port: home.port, path, method: body ? 'POST' : 'GET', headers },
        (answer) => {
          answer.resume();
          resolve(answer.statusCode ?? 0);
        },
      );
      sent.on('error', reject);
      sent.end(body);
    });
  const json = { 'content-type': 'application/json' };
  expect(await ask('/', { host: 'kitchen.example' })).toBe(403);
  expect(await ask('/api/health', { host: 'kitchen.example' })).toBe(403);
  expect(await ask('/api/health', { host: home.host })).toBe(200);
  expect(
    await ask('/api/k/-/formulas', { ...json, host: home.host, origin: 'http://kitchen.example' }, '{}'),
  ).toBe(403);
  expect(await ask('/api/k/-/formulas', { ...json, host: home.host, origin: 'null' }, '{}')).toBe(403);
  expect(await ask('/api/k/-/formulas', { ...json, host: home.host, origin: home.origin }, '{}')).toBe(422);
  expect((await page.request.get('/api/bench/empty')).status()).toBe(404);
  const answer = await page.goto('/');
  const policy = answer?.headers()['content-security-policy'] ?? '';
  expect(policy).toContain("default-src 'none'");
  expect(policy).toMatch(/script-src 'nonce-[^']+' 'strict-dynamic';/);
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
});

test('a kit that cannot be is refused with its field, and nothing of it is saved', async ({ page }) => {
  const stored = (await (await page.request.get('/api/k/-/kit')).json()) as {
    version: number;
    kit: { fridgeC: number; ovens: object[] };
  };
  const post = async (change: object, rest: object = {}) => {
    const answer = await page.request.post('/api/k/-/kit', {
      data: {
        requestId: crypto.randomUUID(),
        seen: stored.version,
        kit: { ...stored.kit, ...change },
        ...rest,
      },
    });
    const body = (await answer.json()) as { error?: { problems?: { path: string; code: string }[] } };
    const first = body.error?.problems?.[0];
    return [answer.status(), first && `${first.path}:${first.code}`];
  };
  expect(await post({ fridgeC: 60 })).toEqual([422, 'kit.fridgeC:tooLarge']);
  expect(await post({ ovens: [] })).toEqual([422, 'kit.ovens:tooSmall']);
  expect(await post({ ovenId: 'nowhere' })).toEqual([422, 'kit.ovenId:notAllowed']);
  expect(await post({ surprise: true })).toEqual([422, 'kit:notAllowed']);
  expect(await post({}, { seen: 999 })).toEqual([409, undefined]);
  expect(((await (await page.request.get('/api/k/-/kit')).json()) as typeof stored).version).toBe(
    stored.version,
  );
});

test('two tabs on one ingredient: the second is told, and the first’s stays', async ({ page, context }) => {
  const other = await context.newPage();
  for (const tab of [page, other]) {
    await tab.goto('/ingredients?find=teff&look=teff-flour');
    await tab.getByRole('button', { name: /bag/i }).first().click();
    await expect(tab.getByRole('dialog')).toBeVisible();
    await tab
      .getByRole('textbox', { name: 'Which bag' })
      .fill(tab === page ? 'the first bag' : 'the second bag');
  }
  const save = (tab: typeof page) => tab.getByRole('dialog').getByRole('button', { name: 'Save it' }).click();
  await save(page);
  await expect(page.getByRole('dialog')).toBeHidden();
  await save(other);
  await expect(other.getByRole('alert')).toContainText('Somebody changed this ingredient in between');
});

test('a dialog whose files do not arrive takes nothing along, and comes when they do', async ({ page }) => {
  await page.goto('/formulas');
  await awake(page);
  const files = '**/_next/static/**';
  let lost = 0;
  await page.route(files, (route) => {
    lost += 1;
    return route.abort();
  });
  await page.getByRole('button', { name: 'New formula' }).click();
  // the bundler gives up after five or so
  await expect.poll(() => lost).toBeGreaterThan(10);
  await expect(page.getByRole('heading', { name: 'Formulas', exact: true })).toBeVisible();
  await page.unroute(files);
  await expect(page.getByRole('dialog', { name: 'A new formula' })).toBeVisible();
});
