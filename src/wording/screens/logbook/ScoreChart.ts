/** What the screen says. */
export const words = {
  scoresOn: (day: string, scores: string) => ` ${day}: ${scores}.`,
  scoresOfTheseBakes: (length: number) => `Scores of these ${length} bakes`,
} as const;
