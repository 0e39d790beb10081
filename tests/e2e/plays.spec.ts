import type { Formula } from '../../src/core/formula';
import type { Baking } from './bakeOfOwn';
import { isKept } from './kept';
import { awake, expect, test } from './kitchen';
import { baked, playOn, playOut, PlayedScale, recordOf, toBench, told, weighOne, type Player } from './play';

test.use({ serviceWorkers: 'allow' });

/** Nothing happens twice, nothing is left out, and time goes one way. */
async function isWhole(player: Player, bake: Baking, from: number): Promise<string[]> {
  const record = await recordOf(player.page, bake);
  const events = told(record);
  expect(events.filter((event, at) => events.indexOf(event) !== at)).toEqual([]);
  expect(record.map(({ seq }) => seq)).toEqual(record.map((_, at) => at + 1));
  expect(record.every(({ atMs }, at) => at === 0 || atMs >= record[at - 1]!.atMs)).toBe(true);
  // by the server's clock, whatever the device's says
  expect(record[0]!.atMs).toBeGreaterThan(from - 2000);
  expect(record.at(-1)!.atMs).toBeLessThan(Date.now() + 2000);
  expect(events.at(-1)).toBe('closed');
  return events;
}

const PLAYS: Readonly<Record<string, readonly [string, (formula: Formula) => Formula]>> = {
  'a tin and rolls of one dough': ['Lock dough', (formula) => formula],
  'flats in two passes': ['Chickpea and rice griddle flats', (formula) => ({ ...formula, steps: formula.steps.map((step) => (step.kind === 'griddle' ? { ...step, atATime: 4 } : step)) })],
  'knots fried by loads': ['Amaranth and cardamom fried knots', (formula) => ({ ...formula, steps: formula.steps.map((step) => (step.kind === 'fry' ? { ...step, atATime: 6 } : step)) })],
  'boiled rings': ['Boiled rings', (formula) => formula],
}; // prettier-ignore

/** What goes wrong in the play of each. */
const FAULTS: Readonly<Record<string, (player: Player, bake: Baking) => Promise<void>>> = {
  // the network goes mid-weigh, and the page is loaded anew without it
  'a tin and rolls of one dough': async (player, bake) => {
    const { page } = player;
    await weighOne(player);
    await isKept(page, `${bake.at}/bench/${bake.bake}`);
    await page.context().setOffline(true);
    // the scale falls silent: it goes on by eye
    const silent = { ...player, scale: null };
    await page.getByRole('button', { name: 'By eye' }).click();
    await weighOne(silent);
    await weighOne(silent);
    await page.reload();
    await awake(page);
    await expect(page.getByRole('tab', { name: /^Weigh 3\// })).toBeVisible();
    await weighOne(silent);
    await page.context().setOffline(false);
  },
  // the scale's line carries garbage, what nothing can weigh, and yesterday; then the scale again
  'flats in two passes': async (player) => {
    await weighOne(player);
    const { bridge } = player.scale!;
    for (const nonsense of ['\u0000{]', 'NaN', '[[[[']) bridge.show(nonsense);
    bridge.show({ value: 1e12, state: 'steady' });
    await player.scale!.breaks();
    expect(bridge.tally.refused).toBe(4);
    // broken for a moment: by eye
    await expect(player.page.getByTestId('by-scale')).toHaveCount(0);
    await weighOne({ ...player, scale: null });
    await player.scale!.put(0);
    await expect(player.page.getByTestId('by-scale')).toBeVisible();
  },
  // the device's clock is three hours ahead from here on
  'knots fried by loads': async ({ page }, bake) => {
    await page.addInitScript(() => {
      const real = Date.now.bind(Date);
      Date.now = () => real() + 3 * 3_600_000;
    });
    await toBench(page, bake);
  },
  // another tablet presses the same things at the same time
  'boiled rings': async (player, bake) => {
    const other = await player.page.context().newPage();
    await toBench(other, bake);
    for (const each of [player.page, other]) await expect(each.getByTestId('by-scale')).toBeVisible();
    for (const each of [player.page, other]) await each.getByRole('button', { name: 'By eye' }).click();
    const inBowl = (each: Player['page']) => each.getByRole('button', { name: 'In the bowl', exact: true });
    // neither knows yet of the other's press
    await player.page.context().setOffline(true);
    await Promise.all([inBowl(player.page).click(), inBowl(other).click()]);
    await player.page.context().setOffline(false);
    await expect(player.page.getByRole('tab', { name: /^Weigh 1\// })).toBeVisible();
    await expect(other.getByRole('tab', { name: /^Weigh 1\// })).toBeVisible();
    await other.getByRole('button', { name: 'By eye' }).click();
    await weighOne({ page: other, scale: null, asked: [], taps: 0 });
    await expect(player.page.getByRole('tab', { name: /^Weigh 2\// })).toBeVisible();
    await other.close();
  },
}; // prettier-ignore

for (const [name, [formula, change]] of Object.entries(PLAYS)) {
  test(`${name}: played cleanly and with faults, the record is the same, event by event`, async ({ page, baseURL }) => {
    test.setTimeout(300_000);
    const records: string[][] = [];
    for (const isFaulty of [false, true]) {
      const from = Date.now();
      const bake = await baked(page, formula, change);
      const player: Player = { page, scale: await PlayedScale.at(page, bake, baseURL ?? ''), asked: [], taps: 0 };
      await toBench(page, bake);
      await expect(page.getByTestId('by-scale')).toBeVisible();
      if (isFaulty) await FAULTS[name]!(player, bake);
      await playOut(player);
      records.push(await isWhole(player, bake, from));
      const record = await recordOf(page, bake);
      // each as heavy as it was to be, as near as the scale shows it: never what stood there before
      const weighed = record.flatMap(({ action: { type, massG } }) => (type === 'weighed' ? [massG!] : []));
      expect(weighed.length).toBeGreaterThan(7);
      if (!isFaulty) weighed.forEach((massG, at) => expect(Math.abs(massG - player.asked[at]!)).toBeLessThan(1));
    }
    const [clean, faulty] = records;
    expect(clean!.length).toBeGreaterThan(20);
    expect(faulty).toEqual(clean);
  }); // prettier-ignore
}

test('an ordinary loaf takes no more presses than it has things and steps; with a scale that tells, its steps', async ({ page, baseURL }) => {
  test.setTimeout(300_000);
  const counted: Record<string, number> = {};
  let [things, steps] = [0, 0];
  for (const way of ['by eye', 'by scale']) {
    const bake = await baked(page, 'Millet and linseed tin loaf');
    const scale = way === 'by scale' ? await PlayedScale.at(page, bake, baseURL ?? '') : null;
    const player: Player = { page, scale, patient: true, spare: true, asked: [], taps: 0 };
    await toBench(page, bake);
    if (scale) await expect(page.getByTestId('by-scale')).toBeVisible();
    things = Number(/\/(\d+)/.exec((await page.getByRole('tab', { name: /^Weigh/ }).textContent()) ?? '')?.[1]);
    steps = Number(/\/(\d+)/.exec((await page.getByRole('tab', { name: /^Steps/ }).textContent()) ?? '')?.[1]);
    while (await playOn(player));
    counted[way] = player.taps;
  }
  console.log(`presses for an ordinary loaf of ${things} things and ${steps} steps: ${counted['by eye']} by eye, ${counted['by scale']} with a scale that tells`);
  expect([things, steps]).toEqual([14, 10]);
  expect(counted['by eye']).toBeLessThanOrEqual(things + steps);
  expect(counted['by scale']).toBeLessThanOrEqual(steps + 2);
}); // prettier-ignore
