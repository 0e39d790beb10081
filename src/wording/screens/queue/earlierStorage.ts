/** What the screen says. */
export const words = {
  aPressAtTheBench: 'A press at the bench',
  aFormula: 'a formula',
  changesTo: (name: string) => `Changes to “${name}”`,
  aHalfWrittenLog: 'A half-written log',
} as const;
