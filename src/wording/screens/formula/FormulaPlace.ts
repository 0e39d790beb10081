/** What the screen says. */
export const words = {
  whatGoesIn: 'What goes in',
} as const;
