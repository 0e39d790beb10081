/** What the screen says. */
export const words = {
  scoresOn: (day: string, scores: string) => ` ${day}: ${scores}.`,
  scoresOfTheseBakes: (count: number) => `Scores of these ${count} bakes`,
} as const;
