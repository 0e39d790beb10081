import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/**
 * Nothing that axe knows is wrong (WCAG 2.2 AA), no text is too small, nothing is wider than the screen, and no column too narrow for its words.
 *
 * @param rules only these of axe's; absent: all
 * @param sameElsewhere an attribute of targets as small as what they draw, that have an equal of full size on the page (WCAG 2.5.8, Equivalent)
 */
export async function check(
  page: Page,
  {
    sameElsewhere = null,
    rules = null,
  }: { readonly sameElsewhere?: string | null; readonly rules?: string[] | null } = {},
): Promise<void> {
  // what stays on the screen lies over what is scrolled out from under it: looked at where it belongs
  const unstick = (position: string) =>
    page.evaluate((to) => {
      for (const each of document.querySelectorAll<HTMLElement>('[data-stays]')) each.style.position = to;
    }, position);
  await unstick('static');
  // no page has frames, and only what is wrong is looked at: a third of the time
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  const { violations } = await (
    rules ? axe.withRules(rules) : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
  ).analyze();
  await unstick('');
  expect(
    violations.flatMap(({ id, nodes }) => {
      const isSmall = id === 'target-size' && sameElsewhere !== null;
      const bad = nodes.filter(({ html }) => !isSmall || !html.includes(sameElsewhere));
      return bad.length > 0 ? [`${id}: ${bad.map(({ target }) => target.join(' ')).join(' | ')}`] : [];
    }),
  ).toEqual([]);
  const faults = await page.evaluate(() => {
    const small = [...document.querySelectorAll<HTMLElement>('body *')]
      .filter((element) =>
        [...element.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim()),
      )
      .filter((element) => element.checkVisibility() && parseFloat(getComputedStyle(element).fontSize) < 12)
      .map((element) => `small text: ${element.textContent}`);
    const wide =
      document.documentElement.scrollWidth > innerWidth
        ? [
            `wider than the screen: ${document.documentElement.scrollWidth}`,
            // what sticks out, the innermost first
            ...[...document.querySelectorAll<HTMLElement>('body *')]
              .filter((element) => element.getBoundingClientRect().right > innerWidth + 1)
              .slice(-3)
              .map((element) => element.outerHTML.slice(0, 160)),
          ]
        : [];
    // a column that was left no room sets a word letter by letter
    const squeezed: string[] = [];
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const said = node.textContent?.trim() ?? '';
      if (said.length < 12 || node.parentElement?.closest('.sr-only, style, script')) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const lines = new Set([...range.getClientRects()].map(({ top }) => Math.round(top))).size;
      if (said.length < 5 * lines) squeezed.push(`squeezed into ${lines} lines: ${said.slice(0, 60)}`);
    }
    return [...small, ...wide, ...squeezed];
  });
  expect(faults).toEqual([]);
}
