'use client';
import { useEffect } from 'react';

/**
 * Fetches parts of a page that are drawn only when asked for, as soon as the page itself stands. So the page is light to
 * open, and yet has everything with it when the network or the server goes away later. `loaders` must be a constant.
 */
export function useFetchedEarly(loaders: readonly (() => Promise<unknown>)[]): void {
  useEffect(() => {
    // a part that can't be had now is asked for again when it is wanted
    for (const load of loaders) load().catch(() => undefined);
  }, [loaders]);
}
