import type { Page } from '@playwright/test';

/** Opens a page and waits until nothing more comes: the news, which come for ever, are turned off. */
export async function openQuiet(page: Page, url: string): Promise<void> {
  await page.route('**/api/news', (route) => route.abort());
  await page.goto(url, { waitUntil: 'networkidle' });
}
