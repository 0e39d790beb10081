/** How a starter is kept: everything with small feeds; by a ratio with discard; stiff, with less water. */
export const SCHOOLS = ['keepAll', 'ratio', 'stiff'] as const;
export type School = (typeof SCHOOLS)[number];

export const STARTER_PLACES = ['room', 'warm', 'fridge'] as const;
export type StarterPlace = (typeof STARTER_PLACES)[number];

/** What says that it has to be thrown away, all of it. */
export const BAD_SIGNS = ['pink', 'orange', 'fuzzy'] as const;
export type BadSign = (typeof BAD_SIGNS)[number];

export const STARTER_LIMITS = {
  name: 40,
  /** Starters of one kitchen. */
  most: 12,
  /** What is known of one, so much that all of them can be sent at once; the oldest goes where more is said. */
  log: 150,
  massG: { min: 0, max: 20_000 },
  feedG: { min: 1, max: 10_000 },
  everyH: { min: 4, max: 168 },
  tempC: { min: 1, max: 40 },
} as const;

/** How each is fed where nobody says otherwise, g: small enough for one household. */
export const USUAL_FEED: Readonly<Record<School, { readonly keepG: number | null; readonly flourG: number; readonly waterG: number; readonly everyH: number }>> = {
  keepAll: { keepG: null, flourG: 20, waterG: 20, everyH: 24 },
  ratio: { keepG: 25, flourG: 50, waterG: 50, everyH: 24 },
  stiff: { keepG: 25, flourG: 50, waterG: 28, everyH: 24 },
}; // prettier-ignore
