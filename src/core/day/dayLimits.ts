/** What a day may hold. */
export const DAY_LIMITS = {
  /** Batches. */
  most: 30,
  /** Slots, of whatever length: two days of a minute each. */
  slots: { max: 2880 },
  slotMin: { min: 1, max: 15 },
  people: { max: 20 },
  /** How much sooner than it has to be a bread is planned to be ready. */
  spareMin: { min: 5, max: 360 },
  /** Of one ingredient. */
  haveG: { min: 0, max: 1_000_000 },
  /** Ingredients of which it is known. */
  have: 400,
} as const;
