export const TASTING_LIMITS = { wordsLength: 1000, perBake: 200 } as const;
