/** What the screen says. */
export const words = {
  afterItsRestItShould: 'After its rest it should be',
} as const;
