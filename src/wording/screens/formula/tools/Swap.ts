/** What the screen says. */
export const words = {
  insteadOf: 'Instead of',
  comes: 'use',
  choose: 'choose …',
} as const;
