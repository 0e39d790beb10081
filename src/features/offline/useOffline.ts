'use client';
import { useEffect } from 'react';
import { usePathname } from 'next/navigation';
import type { ToServiceWorker } from '@/offline/toServiceWorker';
import { leaveLoadedPage } from './keptPage';

/** The service worker of this build, where the browser and the connection allow one. */
const worker = (): ServiceWorkerContainer | null =>
  process.env.NODE_ENV === 'production' && typeof navigator !== 'undefined' && 'serviceWorker' in navigator
    ? navigator.serviceWorker
    : null;

/** Has these pages put by on this device, so that they open without the server. */
function keepPages(paths: readonly string[]): void {
  const keep = paths.map((path) => new URL(path, window.location.origin).href);
  void worker()?.ready.then(({ active }) => active?.postMessage({ keep } satisfies ToServiceWorker));
}

/** A page that is passed by is not looked at. */
const STAY_MS = 2500;
const asked = new Set<string>();

/** Pages that are gone to within the document are put by like those that are loaded; those of the bench as often as they are. */
export function useOffline(): void {
  const path = usePathname();
  useEffect(() => {
    // once the page stands: what it needs now comes first
    const timer = setTimeout(
      () =>
        void worker()
          ?.register('/serviceWorker.js')
          .catch(() => undefined),
      STAY_MS,
    );
    return () => clearTimeout(timer);
  }, []);
  useEffect(() => {
    leaveLoadedPage(path);
    const timer = setTimeout(() => {
      if (asked.has(path) && !path.includes('/bench/')) return;
      asked.add(path);
      keepPages([path]);
    }, STAY_MS);
    return () => clearTimeout(timer);
  }, [path]);
}

/** Has the pages of these bakes put by, whether they are looked at or not. */
export function useBenchesKept(pages: readonly string[]): void {
  const joined = pages.join(' ');
  useEffect(() => {
    const timer = setTimeout(() => {
      const fresh = joined.split(' ').filter((path) => path !== '' && !asked.has(path));
      fresh.forEach((path) => asked.add(path));
      if (fresh.length > 0) keepPages(fresh);
    }, STAY_MS);
    return () => clearTimeout(timer);
  }, [joined]);
}
