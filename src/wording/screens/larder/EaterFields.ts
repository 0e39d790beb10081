/** What the screen says. */
export const words = {
  whoMustNotEatIt: 'Who must not eat it',
} as const;
