import { wallField } from '../../src/core/day/dayEdit';
import type { DayDocument } from '../../src/core/day/dayDocument';
import { ORDINARY_LIFE, type LifeDocument } from '../../src/core/day/lifeDocument';
import { emptyOutcome } from '../../src/core/bake/outcome';
import { partedLoaf } from '../../src/core/formula/testFormulas';
import { newStep } from '../../src/core/method/step';
import { check } from './check';
import { HOUR, MIN, ZONE, block, card, kitchenOfOwn, laidOut, readyAt, savedDay, toSlot } from './dayKitchen';
import { awake, expect, test, watch } from './kitchen';

test('supper for three discs with work in between: nothing is asked of anybody who is out', async ({ page }) => {
  const own = await kitchenOfOwn(page, [[3, 6]]);
  const supper = toSlot(Date.now() + 9 * HOUR);
  await readyAt(page, own, 'Quinoa and tapioca pizza discs', supper);
  await expect(card(page, 'Quinoa and tapioca pizza discs')).toContainText('such days keep the promise');
  await expect(page.getByTestId('collision')).toHaveCount(0);
  const { batches, lit } = await savedDay(page, own);
  const blocks = Object.values(batches[0]!.at);
  expect(Math.max(...blocks.map(({ endMs }) => endMs))).toBeLessThanOrEqual(supper);
  const [outMs, backMs] = [Date.now() + 3 * HOUR, Date.now() + 6 * HOUR];
  for (const { startMs, handsOn } of blocks)
    if (handsOn) expect(startMs < outMs || startMs >= backMs - MIN).toBe(true);
  // the oven is lit for the stone before the first of them goes in
  const first = Math.min(...blocks.filter(({ kind }) => kind === 'bake').map(({ startMs }) => startMs));
  expect(lit[0]!.atMs).toBeLessThan(first - 10 * MIN);
  // the same on Today: the next call largest, and the oven
  await page.goto(own.at);
  await expect(page.getByTestId('next-call')).toBeVisible();
  await expect(page.getByTestId('ovens-now')).toContainText('light it at');
}); // prettier-ignore

test('a market morning of three breads and one oven, with a night in the cold', async ({ page }) => {
  // a night of seven hours that begins in four, the market two and a half after it
  const own = await kitchenOfOwn(page, [[4, 11]]);
  const market = toSlot(Date.now() + 13.5 * HOUR);
  for (const name of ['Millet and linseed tin loaf', 'Pumpkin-seed supper rolls', 'Quinoa and tapioca pizza discs'])
    await readyAt(page, own, name, market);
  const rolls = card(page, 'Pumpkin-seed supper rolls');
  await rolls.locator('summary').filter({ hasText: /^Wanted/ }).click();
  await rolls.getByLabel('A night in the cold').check();
  await rolls.getByLabel('More or less yeast').check();
  await laidOut(page);
  await expect(page.getByTestId('collision')).toHaveCount(0);
  await expect(rolls).toContainText('in the fridge');
  await expect(rolls).toContainText('Only this batch changes');
  const { batches } = await savedDay(page, own);
  const bakes = batches.flatMap(({ name, at }) => Object.values(at).flatMap((each) => (each.kind === 'bake' ? [{ name, ...each }] : [])));
  for (const a of bakes)
    for (const b of bakes) if (a.name < b.name && a.setC !== b.setC) expect(a.endMs <= b.startMs || b.endMs <= a.startMs).toBe(true);
  expect(Math.max(...batches.flatMap(({ at }) => Object.values(at).map(({ endMs }) => endMs)))).toBeLessThanOrEqual(market);
  // three breads on their lanes, and the oven with its heat
  await expect(page.getByRole('group', { name: /Lanes by dough/ }).getByRole('img')).toHaveCount(1);
}); // prettier-ignore

test('a late start moves the rest, and says so; what was not so is taken back', async ({ page }) => {
  const own = await kitchenOfOwn(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await readyAt(page, own, 'Pumpkin-seed supper rolls', 'Start now');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const before = await card(page, 'Pumpkin-seed supper rolls').locator('.figure').innerText();
  await page.getByTestId('next-call').getByRole('button', { name: 'Started now' }).click();
  await block(page, /in progress/).click();
  const panel = page.getByTestId('block-panel');
  for (let times = 0; times < 2; times += 1) {
    await panel.getByRole('button', { name: 'Takes 15 minutes more' }).click();
    await laidOut(page);
  }
  await expect(page.getByTestId('moved')).toContainText(/later.*ready .* now/);
  await expect(card(page, 'Pumpkin-seed supper rolls').locator('.figure')).not.toHaveText(before);
  // loaded again all of it is there
  await page.reload();
  await laidOut(page);
  await expect(block(page, /in progress/)).toBeVisible();
  await block(page, /in progress/).click();
  await panel.getByRole('button', { name: 'It was not so' }).click();
  await expect(page.locator('button[data-block]').and(page.getByRole('button', { name: /in progress/ }))).toHaveCount(0);
}); // prettier-ignore

test('a collision is explained, and solved by one of the ways that are offered', async ({ page }) => {
  // shaped before anybody leaves in an hour, proofed long before somebody is back after three and a half
  const own = await kitchenOfOwn(page, [[1.25, 3.75]]);
  await readyAt(page, own, 'Pumpkin-seed supper rolls', toSlot(Date.now() + 5.3 * HOUR));
  const collision = page.getByTestId('collision');
  await expect(collision).toContainText('nobody is there');
  await expect(collision.getByRole('button', { name: /Ready .* instead/ })).toBeVisible();
  await collision.getByRole('button', { name: /50 % of the yeast/ }).first().click();
  await expect(collision).toHaveCount(0);
  await laidOut(page);
  await expect(card(page, 'Pumpkin-seed supper rolls')).toContainText('50 % of the yeast');
  // at the bench it is half the yeast; the formula is as it was
  const day = await savedDay(page, own);
  const started = await page.request.post(`${own.api}/bakes`, {
    data: { requestId: crypto.randomUUID(), formulaId: day.batches[0]!.formulaId, revision: 1, batch: day.batches[0]!.batch, lever: day.batches[0]!.variantId },
  });
  expect(started.status()).toBe(201);
}); // prettier-ignore

test('by the keyboard alone: a block is moved, pinned, and let go of', async ({ page }) => {
  const own = await kitchenOfOwn(page);
  await readyAt(page, own, 'Pumpkin-seed supper rolls', toSlot(Date.now() + 8 * HOUR));
  const bake = block(page, /^Bake/);
  const before = await bake.getAttribute('aria-label');
  // where it lies: of places before it that are as good for the bread, it may be left at another
  const [lies] = before!.split(', may begin');
  await bake.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(bake).toHaveAttribute('aria-label', /pinned/);
  await laidOut(page);
  await expect(bake).not.toHaveAttribute('aria-label', new RegExp(`^${lies}`));
  await bake.focus();
  await page.keyboard.press('p');
  await expect(bake).not.toHaveAttribute('aria-label', /pinned/);
  await laidOut(page);
  await expect(bake).toHaveAttribute('aria-label', new RegExp(`^${lies}`));
}); // prettier-ignore

test('what cannot be is said and changes nothing; two tabs do not write over one another', async ({ page, context, baseURL }) => {
  const own = await kitchenOfOwn(page);
  await readyAt(page, own, 'Pumpkin-seed supper rolls', toSlot(Date.now() + 8 * HOUR));
  const before = await savedDay(page, own);
  const { formulaId } = before.batches[0]!;
  await page.goto(`${own.at}/day?add=${formulaId}`);
  const question = page.getByTestId('ready-at');
  await awake(page);
  await question.getByLabel('At another time').fill(wallField(ZONE, Date.now() - HOUR));
  await question.getByRole('button', { name: 'Lay out the day' }).click();
  await expect(question.getByRole('alert')).toHaveText('That time is over already.');
  await question.getByLabel('At another time').fill(wallField(ZONE, Date.now() + 9 * 24 * HOUR));
  await question.getByRole('button', { name: 'Lay out the day' }).click();
  await expect(question.getByRole('alert')).toHaveText('A day is planned a week ahead at most.');
  expect((await savedDay(page, own)).batches).toHaveLength(1);
  await question.getByRole('button', { name: 'Not now' }).click();

  // an order for ten thousand
  const rolls = card(page, 'Pumpkin-seed supper rolls');
  await rolls.locator('summary').filter({ hasText: /^Wanted/ }).click();
  const pieces = rolls.getByRole('textbox', { name: 'Pieces' });
  await pieces.fill('10000');
  await expect(rolls.getByRole('alert').filter({ hasText: '5000' })).toBeVisible();
  await page.keyboard.press('Escape');
  await pieces.fill('24');
  await expect.poll(async () => (await savedDay(page, own)).batches[0]!.batch).toMatchObject({ mode: 'pieces', pieces: 24 });
  await laidOut(page);
  await rolls.locator('summary').filter({ hasText: /^Wanted/ }).click();

  const faults: string[] = [];
  const other = await context.newPage();
  watch(other, baseURL ?? '', faults);
  await other.goto(`${own.at}/day`);
  await laidOut(other);
  await page.locator('summary').filter({ hasText: /^Wanted/ }).click();
  await page.getByLabel('More or less yeast').check();
  await expect.poll(async () => (await savedDay(page, own)).batches[0]!.levers).toEqual(['yeast']);
  await other.locator('summary').filter({ hasText: /^Wanted/ }).click();
  await other.getByLabel('The warm place').check();
  await expect(other.getByRole('alert').filter({ hasText: 'another tab' })).toBeVisible();
  expect((await savedDay(page, own)).batches[0]!.levers).toEqual(['yeast']);
  expect(faults).toEqual([]);

  // hours that end when they begin are refused at their field
  await page.getByRole('button', { name: 'Your hours' }).click();
  const hours = page.getByRole('dialog', { name: 'Your hours' });
  await hours.getByRole('button', { name: 'Add hours' }).first().click();
  await hours.getByRole('textbox', { name: 'to', exact: true }).first().fill('14:00');
  await expect(hours.getByRole('alert').filter({ hasText: 'It ends when it begins' })).toBeVisible();
}); // prettier-ignore

test('today on one clock; an oven that is not hot when the rolls are ready', async ({ page }) => {
  const own = await kitchenOfOwn(page);
  await readyAt(page, own, 'Pumpkin-seed supper rolls', 'Start now');
  // proofed by now, or in five minutes: the day is set back by as much as it takes
  const { value, version } = (await (await page.request.get(`${own.api}/day`)).json()) as { value: DayDocument; version: number };
  const [batch] = value.batches;
  const idOf = (kind: string) => Object.keys(batch!.at).find((id) => batch!.at[id]!.kind === kind)!;
  const back = batch!.at[idOf('bake')]!.startMs - toSlot(Date.now());
  const at = Object.fromEntries(Object.entries(batch!.at).map(([id, each]) => [id, { ...each, startMs: each.startMs - back, endMs: each.endMs - back, looksMs: [] }]));
  const progress = { [idOf('proof')]: { startMs: at[idOf('proof')]!.startMs, endMs: null, lastsS: null } };
  const day: DayDocument = { batches: [{ ...batch!, at, progress }], lit: value.lit.map((each) => ({ ...each, atMs: each.atMs - back })) };
  expect((await page.request.post(`${own.api}/day`, { data: { requestId: crypto.randomUUID(), seen: version, day } })).status()).toBe(201);

  await page.goto(own.at);
  const clock = page.getByTestId('day-clock');
  await expect(clock.getByText('Pumpkin-seed supper rolls')).toBeVisible();
  await expect(clock.getByRole('img')).toHaveAccessibleName(/On the clock: .*Bake, Pumpkin-seed supper rolls/);
  await expect(page.getByTestId('next-call')).toContainText('Bake');
  await page.setViewportSize({ width: 320, height: 640 });
  await check(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
  await page.setViewportSize({ width: 1280, height: 800 });

  await page.goto(`${own.at}/day`);
  await laidOut(page);
  const next = page.getByTestId('next-call');
  await next.getByRole('button', { name: 'Not hot yet: 10 min more' }).click();
  await laidOut(page);
  await expect(next).toContainText('is not hot before');
  await expect(page.getByTestId('moved')).toContainText(/Bake.* later/);
  const held = await savedDay(page, own);
  expect(held.batches[0]!.at[idOf('bake')]!.startMs).toBeGreaterThanOrEqual(held.notHot![0]!.untilMs - MIN);
  // loaded again it is still so; then it is hot
  await page.reload();
  await laidOut(page);
  await next.getByRole('button', { name: 'It is hot now' }).click();
  await expect(next).not.toContainText('is not hot before');
  await laidOut(page);
  await expect.poll(async () => (await savedDay(page, own)).notHot).toBeUndefined();
}); // prettier-ignore

test('rolls from the freezer: asked for from Today, taken out, and then they are no longer there', async ({ page }) => {
  const own = await kitchenOfOwn(page);
  const post = async <T,>(path: string, data: object) => (await (await page.request.post(`${own.api}${path}`, { data: { requestId: crypto.randomUUID(), ...data } })).json()) as T;
  const [frozen, tin] = partedLoaf().ways!;
  const steps = [newStep('freeze', 'freeze'), { ...newStep('thaw', 'thaw'), minS: 3600 }, { ...newStep('bake', 'bake'), minS: 1200, tempC: 220 }];
  const formula = await post<{ id: string }>('/formulas', { formula: { ...partedLoaf(), ways: [{ ...frozen!, steps }, tin!] } });
  const bake = await post<{ id: string }>('/bakes', { formulaId: formula.id, revision: 1, batch: { mode: 'factor', factor: 1, pieceMassG: 80, bowlLossPercent: 0 } });
  await page.request.post(`${own.api}/bakes/${bake.id}/taps`, { data: { after: 0, taps: [{ eventId: crypto.randomUUID(), agoMs: 0, action: { type: 'closed', outcome: emptyOutcome } }] } });

  await page.goto(own.at);
  const stock = page.getByTestId('stock');
  await expect(stock.getByRole('listitem')).toContainText('3Rolls');
  await stock.getByRole('link', { name: 'Ready at' }).click();
  const question = page.getByTestId('ready-at');
  await awake(page);
  await question.getByLabel('Take out').fill('9');
  await question.getByLabel('Take out').press('Tab');
  await expect(question.getByRole('alert').first()).toBeVisible();
  await question.getByLabel('Take out').fill('2');
  await question.getByLabel('Take out').press('Tab');
  await question.getByRole('button', { name: /Start now/ }).click();
  await expect(card(page, 'Rolls').getByTestId('taken-out')).toContainText('2 of the 3 put by');
  await laidOut(page);
  await expect(page.getByTestId('take-out')).toContainText('take out 2 Rolls, frozen as dough');
  await check(page);
  const next = page.getByTestId('next-call');
  await expect(next).toContainText('Take out 2, frozen as dough: thaw');
  await next.getByRole('button', { name: 'Started now' }).click();
  await expect.poll(async () => Object.keys((await savedDay(page, own)).batches[0]!.progress)).toEqual(['thaw']);
  // the log of their bake is told right after the day is saved
  await expect(async () => {
    await page.goto(own.at);
    await expect(stock.getByRole('listitem')).toContainText('1Rolls', { timeout: 3000 });
  }).toPass();
}); // prettier-ignore

test('the day as a calendar file, and on paper', async ({ page }) => {
  const own = await kitchenOfOwn(page);
  await readyAt(page, own, 'Pumpkin-seed supper rolls', toSlot(Date.now() + 8 * HOUR));
  const file = await page.request.get(`${own.api}/day/calendar`);
  expect(file.headers()['content-type']).toContain('text/calendar');
  const text = await file.text();
  expect(text).toContain('BEGIN:VALARM');
  expect(text.match(/SUMMARY:.*/g)?.some((line) => /^SUMMARY:Light .*: 205 °C/.test(line))).toBe(true);
  // less of something than the day needs is said, and what is to be got
  const rice = page.getByTestId('needs').locator('tbody').getByRole('row').first();
  await rice.getByRole('textbox').fill('1');
  await rice.getByRole('textbox').press('Tab');
  await expect(rice).toContainText('short');
  await expect(page.getByTestId('to-get')).toContainText('To get:');
  await rice.getByRole('textbox').fill('nonsense');
  await expect(rice.getByRole('alert')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect.poll(async () => (await savedDay(page, own)).have?.map(({ massG }) => massG)).toEqual([1]);
  await page.reload();
  await laidOut(page);
  await expect(page.getByTestId('to-get')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByTestId('agenda')).toBeVisible();
  await expect(page.getByTestId('next-call')).toBeHidden();
});

test('started at the bench, the day follows it; a bake that has ended is told as such', async ({ page }) => {
  const own = await kitchenOfOwn(page);
  await readyAt(page, own, 'Pumpkin-seed supper rolls', 'Start now');
  await card(page, 'Pumpkin-seed supper rolls').getByRole('button', { name: 'Start at the bench' }).click();
  await expect(page).toHaveURL(/\/bench\/[0-9a-f-]{36}/);
  const bakeId = page.url().split('/').at(-1)!;
  await expect.poll(async () => (await savedDay(page, own)).batches[0]!.bakeId).toBe(bakeId);
  const bake = page.request.get(`${own.api}/bakes/${bakeId}?after=0`);
  expect((await bake).ok()).toBe(true);
  // on the day its first block has begun, and the bench says so, not a button
  await page.goto(`${own.at}/day`);
  await laidOut(page);
  await block(page, /in progress/).click();
  await expect(page.getByTestId('block-panel')).toContainText('The bench says how far it is');
  await expect(card(page, 'Pumpkin-seed supper rolls').getByRole('link', { name: 'At the bench' })).toBeVisible();
  const ended = await page.request.post(`${own.api}/bakes/${bakeId}/taps`, {
    data: { after: 0, taps: [{ eventId: crypto.randomUUID(), agoMs: 0, action: { type: 'abandoned', reason: 'for a test' } }] },
  });
  expect(ended.ok()).toBe(true);
  await page.reload();
  await expect(card(page, 'Pumpkin-seed supper rolls')).toContainText('Ended');
  await expect(card(page, 'Pumpkin-seed supper rolls')).not.toContainText('finds no place');
  // on Today nothing is asked of what has ended
  await page.goto(own.at);
  await expect(page.getByTestId('next-call')).toHaveCount(0);
}); // prettier-ignore

test('the day can be read by everybody: by day and dim, wide and narrow, with what collides and what is open', async ({ page, context, baseURL }) => {
  test.slow();
  const own = await kitchenOfOwn(page, [[1.25, 3.75]]);
  await readyAt(page, own, 'Quinoa and tapioca pizza discs', toSlot(Date.now() + 12 * HOUR));
  await readyAt(page, own, 'Pumpkin-seed supper rolls', toSlot(Date.now() + 5.3 * HOUR));
  await expect(page.getByTestId('collision')).toBeVisible();
  for (const [light, width] of [['day', 1280], ['dim', 320]] as const) {
    await context.addCookies([{ name: 'crumb-view', value: `${light}.g.C`, url: baseURL ?? '' }]);
    await page.setViewportSize({ width, height: 800 });
    await page.goto(`${own.at}/day`);
    await laidOut(page);
    // five minutes are narrow on the lanes: the list has the same choice at full size
    await page.getByTestId('agenda').getByRole('button', { name: 'Bake' }).first().click();
    await expect(page.getByTestId('block-panel')).toContainText('Pumpkin-seed supper rolls');
    await page.locator('summary').filter({ hasText: /^Wanted/ }).first().click();
    await check(page, { sameElsewhere: 'data-block=' });
    await page.getByRole('button', { name: 'Your hours' }).click();
    await expect(page.getByRole('dialog', { name: 'Your hours' })).toBeVisible();
    await page.getByRole('button', { name: 'Add hours' }).first().click();
    await check(page, { sameElsewhere: 'data-block=' });
    await page.keyboard.press('Escape');
    await page.goto(own.at);
    await check(page);
  }
}); // prettier-ignore

test('a shared kitchen: nothing is planned while wheat hangs in the air, then cleaning down is called for; egg is kept apart', async ({ page }) => {
  const own = await kitchenOfOwn(page);
  const [from, to] = [wallField(ZONE, Date.now() + HOUR), wallField(ZONE, Date.now() + 2 * HOUR)];
  const weekday = new Date(`${from.slice(0, 10)}T12:00:00Z`).getUTCDay() || 7;
  const shared = { wheat: [{ name: 'Wheat', days: [weekday], from: from.slice(11, 16), to: to.slice(11, 16) }], settleMin: 60, cleanMin: 20, apart: [], own: ['stone'] };
  const answer = await page.request.post(`${own.api}/life`, { data: { requestId: crypto.randomUUID(), seen: 1, life: { ...ORDINARY_LIFE, away: [], shared } } });
  expect(answer.status()).toBe(201);
  await readyAt(page, own, 'Pumpkin-seed supper rolls', toSlot(Date.now() + 9 * HOUR));
  await expect(page.getByTestId('agenda')).toContainText('Clean down after wheat: tables, mixer, scale, taps, cloths; then your own stone');
  for (const { startMs, handsOn } of Object.values((await savedDay(page, own)).batches[0]!.at))
    if (handsOn) expect(startMs <= Date.now() + HOUR || startMs >= Date.now() + 3.3 * HOUR).toBe(true);
  await page.getByRole('button', { name: 'Your hours' }).click();
  const kitchen = page.getByRole('region', { name: 'A shared kitchen' });
  await kitchen.getByRole('checkbox', { name: 'egg' }).check();
  await expect.poll(async () => ((await (await page.request.get(`${own.api}/life`)).json()) as { value: LifeDocument }).value.shared?.apart).toEqual(['egg']);
  await check(page);
}); // prettier-ignore
