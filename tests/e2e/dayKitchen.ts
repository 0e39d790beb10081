import type { Locator, Page } from '@playwright/test';
import { ORDINARY_LIFE, type LifeDocument } from '../../src/core/day/lifeDocument';
import type { DayDocument } from '../../src/core/day/dayDocument';
import { wallField } from '../../src/core/day/dayEdit';
import { check } from './check';
import { awake, expect } from './kitchen';

export const ZONE = 'Europe/Lisbon';
export const MIN = 60_000;
export const HOUR = 60 * MIN;

export interface Own {
  /** Its pages, and its interface. */
  readonly at: string;
  readonly api: string;
}

/** A kitchen of this test's own, with a loaf, rolls and discs, in which somebody is always there but in these hours from now on. */
export async function kitchenOfOwn(page: Page, away: readonly (readonly [number, number])[] = []): Promise<Own> {
  const made = await page.request.post('/api/kitchens', {
    data: { requestId: crypto.randomUUID(), name: `Day ${crypto.randomUUID().slice(0, 8)}`, timeZone: ZONE, altitudeM: 90, baking: 'everything', ovenKind: 'static' },
  });
  expect(made.status()).toBe(201);
  const { address } = (await made.json()) as { address: string };
  const own = { at: `/k/${address}`, api: `/api/k/${address}` };
  const now = Date.now();
  const life: LifeDocument = { ...ORDINARY_LIFE, away: [], once: away.map(([from, to]) => ({ name: 'Out', fromMs: Math.round(now + from * HOUR), toMs: Math.round(now + to * HOUR) })) };
  const answer = await page.request.post(`${own.api}/life`, { data: { requestId: crypto.randomUUID(), seen: 0, life } });
  expect(answer.status()).toBe(201);
  return own;
} // prettier-ignore

/** On the formula's own page: ready at, and then when. Two presses where it is a usual time. */
export async function readyAt(
  page: Page,
  own: Own,
  formula: string,
  when: 'Start now' | number,
): Promise<void> {
  await page.goto(`${own.at}/formulas`);
  await page
    .getByRole('link', { name: new RegExp(formula) })
    .first()
    .click();
  await page.getByRole('button', { name: 'Ready at' }).click();
  const question = page.getByTestId('ready-at');
  if (when === 'Start now') await question.getByRole('button', { name: /Start now/ }).click();
  else {
    await awake(page);
    await question.getByLabel('At another time').fill(wallField(ZONE, when));
    await question.getByRole('button', { name: 'Lay out the day' }).click();
  }
  await expect(question).toHaveCount(0);
  await laidOut(page);
}

/** The plan is there, and saved. */
export const laidOut = (page: Page): Promise<void> =>
  expect(page.getByTestId('plan-state')).toHaveText('Saved');
export const card = (page: Page, name: string): Locator => page.locator(`[data-batch="${name}"]`);
export const block = (page: Page, what: RegExp): Locator =>
  page
    .locator('button[data-block]')
    .and(page.getByRole('button', { name: what }))
    .first();
export const savedDay = async (page: Page, own: Own): Promise<DayDocument> =>
  ((await (await page.request.get(`${own.api}/day`)).json()) as { value: DayDocument }).value;

export const toSlot = (ms: number): number => Math.ceil(ms / (5 * MIN)) * 5 * MIN;

/** What a page looks like to everybody: as it is, and narrow in dim light; then as it was. */
export async function checkNarrowAndDim(page: Page, baseURL: string | undefined): Promise<void> {
  await check(page);
  const light = async (name: 'day' | 'dim', width: number, height: number) => {
    await page.context().addCookies([{ name: 'crumb-view', value: `${name}.g.C`, url: baseURL ?? '' }]);
    await page.setViewportSize({ width, height });
    await page.reload();
    await awake(page);
  };
  await light('dim', 320, 640);
  await check(page);
  await light('day', 1280, 800);
}
