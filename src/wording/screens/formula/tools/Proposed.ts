/** What the screen says. */
export const words = {
  nothingHasToChange: 'Nothing has to change.',
  newWord: 'new',
  out: 'out',
  nothingIsKnownToStand: (join: string) => `Nothing is known to stand in for ${join}: it is only taken away.`,
  afterItsRest: (toLowerCase: string, part: string) => `After its rest: ${toLowerCase} (${part}) → `,
  doIt: 'Apply',
} as const;
