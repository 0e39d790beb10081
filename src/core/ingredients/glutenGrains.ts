/** Grains with gluten, and what is made of them, as they stand in names: a name that holds one is never taken for free of it. */
export const GLUTEN_GRAINS = [
  'wheat', 'barley', 'rye', 'spelt', 'semolina', 'durum', 'couscous', 'bulgur', 'seitan', 'kamut', 'einkorn', 'emmer', 'farro',
  'triticale', 'malt', 'malted', 'graham',
] as const; // prettier-ignore
