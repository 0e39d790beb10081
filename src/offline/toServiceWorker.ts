/** What a page asks of the service worker: to have these pages by. Whole addresses. */
export interface ToServiceWorker {
  readonly keep: readonly string[];
}
