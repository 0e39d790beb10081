/** What the screen says. */
export const words = {
  notFor: 'Not for',
  lookFirst: 'Look first:',
  nothingFoundAgainstTheLabels: (join: string) =>
    `Nothing found against ${join}: the labels in your hand decide.`,
  whoEatsIt: 'Who eats it',
} as const;
