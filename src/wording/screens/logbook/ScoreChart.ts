/** What the screen says. */
export const words = {
  scoresOfTheseBakes: (length: number) => `Scores of these ${length} bakes`,
} as const;
