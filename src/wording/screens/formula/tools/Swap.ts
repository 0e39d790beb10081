/** What the screen says. */
export const words = {
  insteadOf: 'Instead of',
  use: 'use',
  choose: 'choose …',
} as const;
