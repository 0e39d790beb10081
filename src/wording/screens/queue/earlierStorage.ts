/** What the screen says. */
export const words = {
  aPressAtTheBench: 'A press at the bench',
  aFormula: 'a formula',
  changesTo: (part: string) => `Changes to “${part}”`,
  aHalfWrittenLog: 'A half-written log',
} as const;
