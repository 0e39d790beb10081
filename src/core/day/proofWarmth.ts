/** Hotter than this an oven is no place for a dough to rise in, °C. */
export const PROOF_MOST_C = 50;
