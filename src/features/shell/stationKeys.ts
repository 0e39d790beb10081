/** After g, the page a key goes to, by its place within the kitchen. */
export const STATION_KEYS = {
  t: '/',
  f: '/formulas',
  i: '/ingredients',
  k: '/kit',
  b: '/bench',
  l: '/logbook',
} as const;

/** The second key comes within so long of the g. */
export const CHORD_MS = 1200;
