/** What the screen says. */
export const words = {
  saveIt: 'Save it',
} as const;
