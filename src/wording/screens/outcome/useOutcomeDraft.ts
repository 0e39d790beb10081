/** What the screen says. */
export const words = {
  aHalfWrittenLog: 'A half-written log',
} as const;
