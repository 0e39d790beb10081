/** What the screen says. */
export const words = {
  about: (counts: string) => `about ${counts}`,
  besideTheGrams: 'What stands beside the grams',
} as const;
