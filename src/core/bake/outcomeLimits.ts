export const OUTCOME_LIMITS = {
  pieces: { min: 0, max: 5000 },
  massG: { min: 1, max: 1_000_000 },
  /** The centre of a piece out of the oven: raw at the least, a dry crispbread at the most, °C. */
  coreTempC: { min: 20, max: 130 },
  wordsLength: 2000,
} as const;
