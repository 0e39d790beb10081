/** What somebody bakes, as a newcomer says it: chooses the formulas to begin with. */
export const BAKINGS = ['everything', 'loaves', 'small', 'flat', 'none'] as const;
export type Baking = (typeof BAKINGS)[number];
