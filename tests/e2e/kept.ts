import { expect, type Page } from '@playwright/test';

/** Everything is on the device: the application, and these pages. */
export async function isKept(page: Page, ...paths: readonly string[]): Promise<void> {
  const missing = () =>
    page.evaluate(async (asked) => {
      if (!navigator.serviceWorker.controller) return ['no service worker'];
      const pages: string[] = [];
      for (const name of await caches.keys())
        if (name.startsWith('crumb-pages')) pages.push(...(await (await caches.open(name)).keys()).map(({ url }) => new URL(url).pathname));
      return asked.filter((path) => !pages.includes(path));
    }, paths);
  await expect.poll(missing).toEqual([]);
} // prettier-ignore
