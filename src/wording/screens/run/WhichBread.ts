/** What the screen says. */
export const words = {
  whichBread: 'Which of the breads this is of',
  unnamed: 'without a name',
} as const;
