/** What the screen says. */
export const words = {
  nothingHasToChange: 'Nothing has to change.',
  newWord: 'new',
  out: 'out',
  nothingIsKnownToStand: (join: string) => `Nothing is known to stand in for ${join}: it is only taken away.`,
  afterItsRest: (before: string, range: string) => `After its rest: ${before} (${range}) → `,
  apply: 'Apply',
} as const;
