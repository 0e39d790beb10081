/** Where a browser notes which kitchen it was in last. */
export const KITCHEN_COOKIE = 'crumb-kitchen';

/** A kitchen as addresses and the queue name it. */
export interface KitchenPlace {
  readonly address: string;
  /** A page of it: `/formulas` → `/k/ours/formulas`. */
  readonly page: (path: string) => string;
  /** A part of its interface: `/kit` → `/api/k/ours/kit`. */
  readonly api: (path: string) => string;
  /** What is still to be sent to it: `kit` → `kit@ours`. */
  readonly lane: (of: string) => string;
}

export const kitchenPlace = (address: string): KitchenPlace => ({
  address,
  page: (path) => `/k/${address}${path === '/' ? '' : path}`,
  api: (path) => `/api/k/${address}${path}`,
  lane: (of) => `${of}@${address}`,
});
