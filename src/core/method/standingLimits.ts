/** Where a dough or a bread stands while nothing is done to it. */
export const PLACES = ['room', 'warm', 'prover', 'ovenLight', 'fridge', 'freezer', 'oven'] as const;
export type Place = (typeof PLACES)[number];

/** What keeps it from drying. */
export const COVERS = ['open', 'cloth', 'damp', 'film', 'lid', 'bag'] as const;
export type Cover = (typeof COVERS)[number];

export const STANDS_LIMITS = { humidityPercent: { min: 10, max: 100 } } as const;

export const CUE_LIMITS = {
  /** A dough that barely moves, to one that is five times as big. */
  grownPercent: { min: 5, max: 400 },
  coreC: { min: -5, max: 130 },
} as const;

export const CUE_KINDS = [
  'grown',
  'feel',
  'core',
  'colour',
  'foam',
  'floats',
  'springsBack',
  'cold',
] as const;
