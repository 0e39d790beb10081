/** The part of ./crumb bench about a page just opened: when does it answer its first key, on a processor four times slower? */
import type { Browser } from '@playwright/test';
import { quantileOf } from '@/core/numeric/quantile';
import type { Findings } from './findings';

const ROUNDS = 5;
const SLOWED = 4;
/** What the same bench found, × the empty page, before the first hour was worked on: recorded once. */
const START: Readonly<Record<string, string>> = {
  Today: '1.56',
  shelf: '1.46',
  sheet: '2.88',
  'sheet, a weight': '2.83',
  batch: '1.61',
  bench: '1.52',
  ingredients: '1.72',
  kit: '1.80',
  logbook: '1.62',
  'a bake': '1.70',
};

/**
 * Presses a key every few milliseconds from the page's first moment on, until it is answered. As text: the compiler's helpers do not
 * exist in the page.
 */
const PRESS = {
  /** What the empty page's own code answers. */
  empty: `
    dispatchEvent(new KeyboardEvent('keydown', { key: 'E', bubbles: true }));
    return document.documentElement.dataset.answered === 'yes';`,
  /** Any key of the page's own: it is awake. */
  own: `return document.querySelector('main[data-awake="true"]') !== null;`,
  /** The lamp, which every page answers to, before its own code is there. */
  lamp: `
    const before = document.documentElement?.dataset.light;
    if (!before) return false;
    dispatchEvent(new KeyboardEvent('keydown', { key: 'D', bubbles: true }));
    return document.documentElement.dataset.light !== before;`,
  /** A weight of the sheet, answered by the figure that follows from it. */
  weight: `
    const field = document.querySelector('[aria-label="Water, weight"]');
    const figure = document.querySelector('[data-testid="hydration-all"]');
    if (!field || field.readOnly || !figure) return false;
    window.shown ??= figure.textContent;
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, String(300 + (window.tries = (window.tries ?? 0) + 1)));
    field.dispatchEvent(new InputEvent('input', { bubbles: true }));
    return figure.textContent !== window.shown;`,
};

async function firstKeyMs(browser: Browser, url: string, press: keyof typeof PRESS): Promise<number> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.addInitScript(`
    const press = () => { ${PRESS[press]} };
    const again = setInterval(() => {
      if (!document.documentElement || !press()) return;
      clearInterval(again);
      window.answeredMs = performance.now();
    }, 5);`);
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  await page.goto(url, { waitUntil: 'commit' });
  // asked for afterwards: a page that answers in its first moments has nobody yet to tell it to
  const until = Date.now() + 60_000;
  let ms = 0;
  while (ms === 0) {
    if (Date.now() > until) throw new Error(`${url} answers no key`);
    await page.waitForTimeout(100);
    ms = await page.evaluate(() => (window as unknown as { answeredMs?: number }).answeredMs ?? 0);
  }
  await context.close();
  return ms;
}

/** Every main view in turn, and the empty page in each round beside them. */
export async function benchFirstKey(
  browser: Browser,
  home: string,
  views: readonly (readonly [name: string, path: string, press: keyof typeof PRESS])[],
  found: Findings,
): Promise<void> {
  const all = [['an empty page', '/empty', 'empty'] as const, ...views];
  const ms = new Map<string, number[]>(all.map(([name]) => [name, []]));
  for (let round = 0; round < ROUNDS; round++)
    for (const [name, path, press] of all) ms.get(name)?.push(await firstKeyMs(browser, home + path, press));
  const empty = quantileOf(ms.get('an empty page') ?? [], 0.5);
  for (const [name] of all) {
    const mid = quantileOf(ms.get(name) ?? [], 0.5);
    found.add(
      `first answered key, processor ${SLOWED} × slower: ${name}`,
      `${mid.toFixed(0)} ms, ${(mid / empty).toFixed(2)} × empty`,
      START[name] ? `at most ${(Number(START[name]) / 2).toFixed(2)} ×: half of the start` : '–',
    );
  }
}
