/** What the screen says. */
export const words = {
  close: 'Close',
} as const;
