/** What the screen says. */
export const words = {
  noDifference: 'No difference.',
} as const;
