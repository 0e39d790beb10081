import type { Page } from '@playwright/test';
import { eightRolls } from '../../src/core/batch/testBatch';
import { kitchenOfOwn, type Own } from './dayKitchen';

interface Steps {
  readonly formula: { readonly steps: readonly { readonly id: string; readonly kind: string; readonly tempC: number | null }[] };
} // prettier-ignore

export interface Baking extends Own {
  readonly formula: string;
  readonly bake: string;
}

/** A bake in a kitchen of this test's own: what it leaves behind is in nobody's logbook. */
export async function bakeOfOwn(page: Page): Promise<Baking> {
  const own = await kitchenOfOwn(page);
  const shelf = await (await page.request.get(`${own.at}/formulas`)).text();
  const formula = /\/formulas\/([0-9a-f-]{36})"(?:(?!<\/a>).)*?Millet and linseed tin loaf/s.exec(shelf)?.[1] ?? '';
  const answer = await page.request.post(`${own.api}/bakes`, { data: { requestId: crypto.randomUUID(), formulaId: formula, revision: 1, batch: eightRolls } });
  const { id } = (await answer.json()) as { id: string };
  return { ...own, formula, bake: id };
} // prettier-ignore

export async function stepOf(page: Page, { api, formula: id }: Baking, kind: string): Promise<string | null> {
  const { formula } = (await (await page.request.get(`${api}/formulas/${id}`)).json()) as Steps;
  return formula.steps.find((step) => step.kind === kind)?.id ?? null;
}

export const tap = (page: Page, { api, bake }: Baking, ...actions: object[]) =>
  page.request.post(`${api}/bakes/${bake}/taps`, {
    data: { taps: actions.map((action) => ({ eventId: crypto.randomUUID(), agoMs: 0, action })) },
  });
