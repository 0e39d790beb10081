/** What the screen says. */
export const words = {
  howItRose: 'How it rose',
} as const;
