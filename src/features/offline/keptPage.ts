import { KEPT_NAME } from '@/offline/keptName';

/** The page this document was loaded as; null once another was gone to, whose data are new. */
let loadedAs: string | null = typeof window === 'undefined' ? null : window.location.pathname;

/** Another page was gone to without loading the document again. */
export function leaveLoadedPage(path: string): void {
  if (path !== loadedAs) loadedAs = null;
}

/** When this page was put by on the device, ms by its clock, if it is shown as it was then; null: the server has just drawn it. */
export function keptAtMs(): number | null {
  if (loadedAs === null || window.location.pathname !== loadedAs) return null;
  const found = document.querySelector<HTMLMetaElement>(`meta[name="${KEPT_NAME}"]`)?.content;
  return found ? Number(found) : null;
}

/** When what the server has put into this page came to this device, ms by the device's clock. */
export const arrivedAtMs = (): number => keptAtMs() ?? Date.now();
