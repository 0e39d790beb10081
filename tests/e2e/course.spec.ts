import { bakeOfOwn, stepOf, tap } from './bakeOfOwn';
import { check } from './check';
import { awake, expect, test } from './kitchen';
import { baked } from './play';

interface Log {
  readonly events: readonly { readonly action: { readonly type: string; readonly stepId?: string } }[];
}

test('a dough goes into the fridge and on with it later; taken back it rises on; paused nothing rings, on another tablet too', async ({
  page,
}) => {
  const own = await bakeOfOwn(page);
  const proof = (await stepOf(page, own, 'proof'))!;
  for (const kind of ['bloom', 'mix', 'rest', 'shape'])
    await tap(page, own, { type: 'stepDone', stepId: await stepOf(page, own, kind) });
  await tap(page, own, { type: 'timerStarted', stepId: proof, durationS: 2700 });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${own.at}/bench/${own.bake}?at=steps`);
  await awake(page);
  const other = await page.context().newPage();
  await other.goto(`${own.at}/bench/${own.bake}?at=steps`);
  await awake(other);

  const otherwise = async (name: string) => {
    await page.getByRole('button', { name: 'Go on otherwise' }).click();
    await page.getByRole('dialog').getByRole('button', { name }).click();
  };
  await otherwise('Into the fridge');
  const choice = page.getByTestId('cold-choice');
  await expect(choice.getByRole('status')).toHaveText('07:00');
  await expect(choice).toContainText('It comes out grown by about');
  await check(page);
  await page.getByRole('button', { name: 'Half an hour later' }).click();
  await expect(choice.getByRole('status')).toHaveText('07:30');
  await page.getByRole('button', { name: 'Into the fridge now' }).click();
  // its clock runs at once, here and there, and what was left of the proof follows it
  for (const each of [page, other]) {
    await expect(each.getByRole('heading', { name: 'Cold hold' })).toBeVisible();
    await expect(each.getByRole('timer')).toBeVisible();
    await expect(each.getByRole('list', { name: 'All steps' }).getByRole('listitem').filter({ hasText: 'Proof' })).toHaveCount(2);
  }
  // where it begins one sees it: the press stood at the foot of the page
  await expect(page.getByRole('heading', { name: 'Cold hold' })).toBeInViewport();

  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('heading', { name: 'Proof' })).toBeVisible();
  await expect(other.getByRole('heading', { name: 'Proof' })).toBeVisible();
  await expect(page.getByTestId('clock')).toHaveText(/^4[34]:/);
  await expect(page.getByRole('list', { name: 'All steps' }).getByRole('listitem').filter({ hasText: 'Proof' })).toHaveCount(1);

  await otherwise('Pause all of it');
  for (const each of [page, other]) await expect(each.getByTestId('paused')).toContainText('Nothing rings until you go on');
  await check(page);
  await page.reload();
  await awake(page);
  await page.waitForTimeout(720);
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  for (const each of [page, other]) await expect(each.getByTestId('clock')).toHaveText(/^4[34]:/);
  const cold = 'cold-6';
  const log = async () => {
    const { events } = (await (await page.request.get(`${own.api}/bakes/${own.bake}?after=5`)).json()) as Log;
    return events.map(({ action: { type, stepId } }) => [type, stepId].filter(Boolean).join(' '));
  };
  await expect.poll(log).toEqual([
    'courseChanged', `stepDone ${proof}`, `timerStarted ${cold}`,
    `timerCleared ${cold}`, `stepReopened ${proof}`, `timerStarted ${proof}`, 'courseTakenBack',
    'paused', 'resumed',
  ]);
  await tap(page, own, { type: 'abandoned', reason: '' });
}); // prettier-ignore

test('a loaf goes into another tin: how full it is, when it is at the rim, how long it bakes; taken back it is as planned', async ({ page }) => {
  const own = await baked(page, 'Millet and linseed tin loaf');
  const { kit, version } = (await (await page.request.get(`${own.api}/kit`)).json()) as { kit: object; version: number };
  const tins = [
    { id: 'long', name: 'The long one', kind: 'dark', lengthCm: 28, widthCm: 10, heightCm: 8 },
    { id: 'little', name: 'The little one', kind: 'dark', lengthCm: 12, widthCm: 7, heightCm: 5 },
  ];
  const put = await page.request.post(`${own.api}/kit`, { data: { requestId: crypto.randomUUID(), seen: version, kit: { ...kit, tins } } });
  expect(put.status(), await put.text()).toBe(201);
  for (const kind of ['bloom', 'mix', 'rest', 'shape']) await tap(page, own, { type: 'stepDone', stepId: await stepOf(page, own, kind) });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${own.at}/bench/${own.bake}?at=steps`);
  await awake(page);
  await page.getByRole('button', { name: 'Go on otherwise' }).click();
  const dialog = page.getByRole('dialog', { name: 'Go on otherwise' });
  await dialog.getByRole('button', { name: 'Another tin' }).click();
  const choice = page.getByTestId('tin-choice');
  await choice.getByRole('button', { name: /The little one/ }).click();
  await expect(choice).toContainText('Too small: only');
  await choice.getByRole('button', { name: /The long one/ }).click();
  await expect(choice).toContainText(/It bakes about \d+/);
  await expect(choice).toContainText('at its rim at +');
  await check(page);
  await choice.getByRole('button', { name: 'Into The long one' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByTestId('tin-now')).toContainText('The long one');
  const sets = async () =>
    ((await (await page.request.get(`${own.api}/bakes/${own.bake}?after=0`)).json()) as { events: { action: { by?: string; sets?: { durationS: number }[] } }[] }).events.flatMap(({ action }) => (action.by === 'tin' ? (action.sets ?? []) : []));
  await expect.poll(async () => (await sets()).length).toBe(2);
  // the method says 20 and 35 minutes
  for (const [at, { durationS }] of (await sets()).entries()) expect(durationS).toBeLessThan([1200, 2100][at]!);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByTestId('tin-now')).toHaveCount(0);
  await tap(page, own, { type: 'abandoned', reason: 'a test' });
}); // prettier-ignore
