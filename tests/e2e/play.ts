import { readFileSync } from 'node:fs';
import { randomBytes, randomUUID } from 'node:crypto';
import { expect, type Page } from '@playwright/test';
import type { Formula } from '../../src/core/formula';
import { usualRequest } from '../../src/core/day/usualRequest';
import { KITCHEN_SCALE, ScaleStandIn } from '../../src/core/instrument/standIn';
import { Bridge } from '../../scripts/standIn/bridge';
import type { Baking } from './bakeOfOwn';
import { kitchenOfOwn } from './dayKitchen';
import { awake, closeBake } from './kitchen';

interface DemoFile {
  readonly formulas: readonly { readonly revisions: readonly { readonly formula: Formula }[] }[];
}
const demo = JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')) as DemoFile;

/** A bake of one of the demo's breads, in a kitchen of this play's own. */
export async function baked(page: Page, name: string, change: (formula: Formula) => Formula = (formula) => formula): Promise<Baking> {
  const own = await kitchenOfOwn(page);
  const found = demo.formulas.map(({ revisions }) => revisions.at(-1)!.formula).find((formula) => formula.name.startsWith(name))!;
  const formula = change(found);
  const made = await page.request.post(`${own.api}/formulas`, { data: { requestId: randomUUID(), formula } });
  expect(made.status(), await made.text()).toBe(201);
  const { id: formulaId } = (await made.json()) as { id: string };
  const answer = await page.request.post(`${own.api}/bakes`, { data: { requestId: randomUUID(), formulaId, revision: 1, batch: usualRequest(formula) } });
  expect(answer.status(), await answer.text()).toBe(201);
  return { ...own, formula: formulaId, bake: ((await answer.json()) as { id: string }).id };
} // prettier-ignore

const TELLS_EVERY_MS = 3000;

/** A scale that stands in, and tells the kitchen what it shows as fast as a test plays. */
export class PlayedScale {
  private readonly scale = new ScaleStandIn({ ...KITCHEN_SCALE, stepG: 0.1, noiseG: 0.03, driftG: 0.02, capacityG: 9000 }, 5);
  private loadG = 700;
  private shown: ReturnType<ScaleStandIn['shown']> | null = null;
  private constructor(readonly bridge: Bridge) {}

  static async at(page: Page, { api }: Pick<Baking, 'api'>, home: string): Promise<PlayedScale> {
    const key = randomBytes(32).toString('base64url');
    const added = await page.request.post(`${api}/instruments`, { data: { requestId: randomUUID(), name: 'Big scale', kind: 'scale', stepG: 0.1, key } });
    expect(added.status()).toBe(201);
    const scale = new PlayedScale(new Bridge(home, key));
    await scale.put(0);
    // a scale goes on telling while nothing happens: one that does not is silent
    const telling = setInterval(() => void scale.tell(), TELLS_EVERY_MS);
    page.on('close', () => clearInterval(telling));
    return scale;
  }

  /** The same again; of one that is broken, nothing. */
  private async tell(): Promise<void> {
    if (!this.shown) return;
    this.bridge.show(this.shown);
    await this.bridge.send();
  }

  /** Nothing is shown by it until something is put on again. */
  async breaks(): Promise<void> {
    this.shown = null;
    this.bridge.show({ value: 3, state: 'fault' });
    await expect.poll(() => this.bridge.send()).toBe(true);
  }

  /** So much more on it: as long as it takes by its own time, at once. */
  async put(massG: number): Promise<void> {
    this.loadG += massG;
    let shown = this.scale.shown();
    // and on until it stands still: it wanders now and then
    for (let tick = 0; tick < 30 || (shown.state !== 'steady' && tick < 90); tick += 1) shown = this.scale.advance(0.2, this.loadG);
    this.shown = shown;
    this.bridge.show(shown);
    await expect.poll(() => this.bridge.send()).toBe(true);
  }
} // prettier-ignore

export interface Player {
  readonly page: Page;
  readonly scale: PlayedScale | null;
  /** It is taken by itself, without a press: as long as it takes. */
  readonly patient?: boolean;
  /** Presses no more than it takes. */
  readonly spare?: boolean;
  /** What the bench asked for, in that order, g. */
  readonly asked: number[];
  /** Presses so far. */
  taps: number;
}

const target = async (page: Page, testId: string): Promise<number> => {
  const text = (await page.getByTestId(testId).textContent()) ?? '';
  const mass = Number(/[\d.]+/.exec(text)?.[0]);
  return /kg/.test(text) ? 1000 * mass : mass;
};

/** One thing is weighed: on the scale, or by eye where it does not tell. */
export async function weighOne(player: Player): Promise<void> {
  const { page, scale, patient = false } = player;
  const tab = page.getByRole('tab', { name: /^Weigh/ });
  const before = await tab.textContent();
  const byScale = page.getByTestId('by-scale');
  const byEye = page.getByRole('button', { name: 'In the bowl', exact: true });
  await expect(scale ? byScale : byEye).toBeVisible();
  if (scale) {
    await expect(page.getByTestId('scale-says')).toBeEmpty();
    const toGoG = await target(page, 'to-go');
    player.asked.push(toGoG);
    await scale.put(toGoG);
    if (!patient) player.taps += Number(await pressedUnlessTaken(page, before));
  } else {
    await expect(byEye).toBeEnabled();
    player.asked.push(await target(page, 'target'));
    await byEye.click();
    player.taps += 1;
  }
  await expect(tab).not.toHaveText(before ?? '');
}

/** Presses that it is in; on a slow machine it may have been taken by itself before, and then nothing is pressed. */
async function pressedUnlessTaken(page: Page, before: string | null): Promise<boolean> {
  const done = await page.waitForFunction((weighed) => {
    const tab = [...document.querySelectorAll('[role=tab]')].find(({ textContent }) => textContent.startsWith('Weigh'));
    if (tab && tab.textContent !== weighed) return 'taken';
    const toGo = document.querySelector('[data-testid=to-go]')?.textContent ?? '';
    const take = document.querySelector<HTMLButtonElement>('[data-testid=by-scale] [data-primary]:enabled');
    // all of it is on
    if (!take || !/^0(?:\.\d+)?[^.\d]/.test(toGo)) return null;
    take.click();
    return 'pressed';
  }, before);
  return (await done.jsonValue()) === 'pressed';
} // prettier-ignore

/** One press of what the bench waits for, whatever it is. @returns whether there was anything left to do */
export async function playOn(player: Player): Promise<boolean> {
  const { page } = player;
  const primary = page.locator('[data-primary]:enabled').first();
  const here = page.getByRole('region', { name: 'Step now' });
  const over = page.getByText('Every step is done').or(page.getByRole('button', { name: 'Close the bake' })).first();
  const weighs = page.getByTestId('by-scale').or(page.getByRole('button', { name: 'In the bowl', exact: true })).first();
  await expect(primary.or(over).or(weighs).first()).toBeVisible();
  if (await over.isVisible()) return false;
  if (await weighs.isVisible()) {
    await weighOne(player);
    return true;
  }
  // a knuckle that bounces presses nothing twice, and a test is quicker than one
  if (await page.getByTestId('round').isVisible()) await page.waitForTimeout(720);
  // hands that mix need no clock to be told that they do, and an oven that is hot is not told to heat
  const atOnce = here.getByRole('button', { name: player.spare ? /^(?:Done|It is in: .*)$/ : /^nothing$/ });
  const needsNone = player.spare && (await here.getByRole('heading', { level: 2, name: /^(?:Mix|Preheat)$/ }).isVisible());
  await (needsNone ? atOnce : primary).click();
  player.taps += 1;
  return true;
} // prettier-ignore

/** To the end, and closed. */
export async function playOut(player: Player): Promise<void> {
  for (let pressed = 0; await playOn(player); pressed += 1) expect(pressed).toBeLessThan(150);
  const { page } = player;
  if (!(await page.getByRole('button', { name: 'Close the bake' }).isVisible())) await page.getByRole('tab', { name: 'Log' }).click();
  await closeBake(page);
  await expect(page).toHaveURL(/\/logbook\//);
} // prettier-ignore

export const toBench = async (page: Page, { at, bake }: Baking): Promise<void> => {
  await page.goto(`${at}/bench/${bake}`);
  await awake(page);
};

interface Logged {
  readonly seq: number;
  readonly atMs: number;
  readonly action: {
    readonly type: string;
    readonly stepId?: string;
    readonly lineId?: string;
    readonly massG?: number;
  };
}

/** The record of a bake, event by event. */
export async function recordOf(page: Page, { api, bake }: Baking): Promise<readonly Logged[]> {
  return ((await (await page.request.get(`${api}/bakes/${bake}?after=0`)).json()) as { events: Logged[] }).events;
} // prettier-ignore

/** What happened, in order, without what it weighed to the gram. */
export const told = (record: readonly Logged[]): string[] =>
  record.map(({ action: { type, stepId, lineId } }) => [type, stepId ?? lineId].filter(Boolean).join(' '));
