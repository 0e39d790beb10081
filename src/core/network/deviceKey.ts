/** Holds the key of a paired device. The prefix makes browsers refuse it from an insecure page, or for another path. */
export const DEVICE_COOKIE = '__Host-crumb-device';

/** The key a request comes with; null: none that could be one. */
export function deviceKeyIn(cookies: string | undefined): string | null {
  const [, key] = /(?:^|;\s*)__Host-crumb-device=([A-Za-z0-9_-]{43})(?:;|$)/.exec(cookies ?? '') ?? [];
  return key ?? null;
}

/** Where a device that is not paired asks to be, and where it sends its code. */
export const PAIR_PAGE = '/pair';
export const PAIRING_AT = '/api/pairing';
/** What a taster's link opens: one card for one bake, for whoever has the link, paired or not. */
const TASTE_AT = /^\/(?:taste|api\/tasting)\/[A-Za-z0-9_-]{24}$/;
export const isTasteAt = (path: string): boolean => TASTE_AT.test(path);
/** To the application: it came by the network's door. */
export const NETWORK_HEADER = 'x-crumb-network';
/** To the application: of which kitchen alone the asker may know. */
export const ONLY_HEADER = 'x-crumb-only';
/** To the application: what the device that asks may do there. */
export const MAY_HEADER = 'x-crumb-may';
