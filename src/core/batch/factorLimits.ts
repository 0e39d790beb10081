/** A batch against its formula: a test spoon of it, to a bakery's trough. */
export const FACTOR_LIMITS = { min: 0.01, max: 200 } as const;
