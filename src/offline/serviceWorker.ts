/// <reference lib="webworker" />
import { Serwist } from 'serwist';
import { KEPT_PAGES } from './keptName';
import { offlinePage } from './offlinePage';
import { PageKeeper, type PageShelf } from './pageKeeper';
import type { ToServiceWorker } from './toServiceWorker';

/** Written in front of this by the server: which build it belongs to, and all files of that. */
declare const CRUMB_BUILD: { readonly build: string; readonly files: readonly string[] };
declare const self: ServiceWorkerGlobalScope;

const pagesOf = (build: string): string => `${KEPT_PAGES} ${build}`;
const shelf = (): Promise<PageShelf> => caches.open(pagesOf(CRUMB_BUILD.build));

const keeper = new PageKeeper({
  shelf,
  fetch: (request) => fetch(request),
  nowMs: () => Date.now(),
  wait: (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
  noPage: async (others) => offlinePage(others, (await light()) === 'dim' ? 'dim' : 'day'),
});

/** The light that was chosen last, where the browser lets it be read here. */
async function light(): Promise<string> {
  const { cookieStore } = self as unknown as {
    cookieStore?: { get: (name: string) => Promise<{ value: string } | null> };
  };
  const view = await cookieStore?.get('crumb-view').catch(() => null);
  return view?.value.split('.')[0] ?? 'day';
}

const serwist = new Serwist({
  // their names change with what is in them
  precacheEntries: CRUMB_BUILD.files.map((url) => ({ url, revision: null })),
  precacheOptions: {
    cleanupOutdatedCaches: true,
    concurrency: 4,
    plugins: [
      {
        // a stored answer has an address of its own, and a worker started from it would take that for its own: what stands behind its # would be gone
        cachedResponseWillBeUsed: ({ cachedResponse }) =>
          Promise.resolve(
            cachedResponse && new Response(cachedResponse.body, { headers: cachedResponse.headers }),
          ),
      },
    ],
  },
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, sameOrigin, url }) =>
        sameOrigin && request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
      handler: ({ request }) => keeper.page(request),
    },
  ],
});
serwist.addEventListeners();

/** Pages of another build ask for files that are gone: they are drawn anew by this one. */
async function renewPages(): Promise<void> {
  const older = (await caches.keys()).filter(
    (name) => name.startsWith(KEPT_PAGES) && name !== pagesOf(CRUMB_BUILD.build),
  );
  for (const name of older) {
    const pages = await (await caches.open(name)).keys();
    await keeper.keep(pages.map(({ url }) => url));
    await caches.delete(name);
  }
}

self.addEventListener('activate', (event) => {
  event.waitUntil(renewPages());
});
self.addEventListener('message', (event) => {
  const { keep } = event.data as ToServiceWorker;
  event.waitUntil(keeper.keep(keep.filter((url) => new URL(url).origin === self.location.origin)));
});
