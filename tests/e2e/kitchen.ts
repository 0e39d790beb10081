import { eightRolls } from '../../src/core/batch/testBatch';
import { expect, test as base, type BrowserContext, type Locator, type Page } from '@playwright/test';

/**
 * A page in the demo kitchen. Fails the test when the page asks anything of another machine, breaks the content security
 * policy, or throws.
 */
export const test = base.extend<{ context: BrowserContext; page: Page }>({
  context: async ({ context }, hand) => {
    const newPage = context.newPage.bind(context);
    context.newPage = async () => {
      const page = await newPage();
      await inHaste(page);
      return awaits(page);
    };
    await hand(context);
  },
  page: async ({ page, baseURL }, hand) => {
    const faults: string[] = [];
    watch(page, baseURL ?? '', faults);
    await hand(page);
    expect(faults).toEqual([]);
  },
});
export { expect };

/** Notes what no page of ours may do. For pages that a test opens itself. */
export function watch(page: Page, home: string, faults: string[]): void {
  page.on('request', (request) => {
    const { protocol, origin } = new URL(request.url());
    if (protocol !== 'data:' && protocol !== 'blob:' && origin !== home)
      faults.push(`left the machine: ${request.url()}`);
  });
  page.on('pageerror', (error) => faults.push(`threw: ${error.message}`));
  page.on('console', (message) => {
    if (/Content Security Policy|hydrat/i.test(message.text())) faults.push(message.text());
  });
}

/** E2E_SLOW=6: a processor six times slower, which brings out what a test only gets right by being quick. */
async function inHaste(page: Page): Promise<void> {
  const rate = Number(process.env.E2E_SLOW ?? 1);
  if (rate > 1)
    await (await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate });
}

/** What is pressed on a page that came but does not answer yet is lost: a page is there when it answers. */
function awaits(page: Page): Page {
  const answers = () => expect(page.locator('main[data-awake="false"]')).toHaveCount(0);
  const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
  page.goto = async (...asked) => {
    const came = await goto(...asked);
    await answers();
    return came;
  };
  page.reload = async (...asked) => {
    const came = await reload(...asked);
    await answers();
    return came;
  };
  return page;
}

/** The page answers: keys and presses before that are nobody's. */
export const awake = (page: Page): Promise<void> =>
  expect(page.locator('main[data-awake="true"]')).toBeVisible();

export const saved = (page: Page): Locator => page.locator('[data-testid="save-status"][data-state="saved"]');

/** The sheet of a formula made for this test alone, so that tests can run side by side. */
export async function copyOf(page: Page, name: string): Promise<string> {
  const shelf = await (await page.request.get(`/formulas?find=${encodeURIComponent(name)}`)).text();
  const cards = shelf.matchAll(/href="[^"]*\/formulas\/([0-9a-f-]{36})"[^]*?<h2[^>]*>([^<]*)<\/h2>/g);
  const id = [...cards].find(([, , title]) => title === name)?.[1];
  expect(id, `${name} on the shelf`).toBeDefined();
  const answer = await page.request.post('/api/k/-/formulas', {
    data: { requestId: crypto.randomUUID(), copyOf: id },
  });
  const made = (await answer.json()) as { id: string };
  await page.goto(`/formulas/${made.id}`);
  await expect(saved(page)).toBeVisible();
  await carried(page);
  return made.id;
}

/** Rows can be carried: until then they are drawn once more. */
export const carried = (page: Page): Promise<void> =>
  expect(page.locator('[data-carry="false"]')).toHaveCount(0);

/** Goes to another place of the formula. */
export async function place(page: Page, name: 'Formula' | 'Method' | 'Timeline' | 'Notes'): Promise<void> {
  const link = page.getByRole('navigation', { name: 'Places of this formula' }).getByRole('link', { name });
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
  await carried(page);
}

/** Closes a bake as a baker does: pressed twice, a moment apart. */
export async function closeBake(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Close the bake' }).click();
  await expect(page.getByText('Press once more to close it.')).toBeVisible();
  // a knuckle that bounces closes nothing
  await page.waitForTimeout(750);
  await page.getByRole('button', { name: 'Yes, close the bake' }).click();
}

export const cell = (page: Page, label: string): Locator =>
  page.getByRole('textbox', { name: label, exact: true });

/** Starts a bake of a formula straight through the API. */
export async function startBake(page: Page, formulaId: string): Promise<string> {
  const answer = await page.request.post('/api/k/-/bakes', {
    data: {
      requestId: crypto.randomUUID(),
      formulaId,
      revision: 1,
      batch: eightRolls,
    },
  });
  return ((await answer.json()) as { id: string }).id;
}
