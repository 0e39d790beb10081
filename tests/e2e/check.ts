import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Nothing that axe knows is wrong (WCAG 2.2 AA), no text is too small, nothing is wider than the screen. */
export async function check(page: Page): Promise<void> {
  // no page has frames, and only what is wrong is looked at: a third of the time
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`),
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
        ? [`wider than the screen: ${document.documentElement.scrollWidth}`]
        : [];
    return [...small, ...wide];
  });
  expect(faults).toEqual([]);
}
