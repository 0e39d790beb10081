/** What the screen says. */
export const words = {
  markedAt: (clock: string, of: string, percent: string) => ` At ${clock}, ${of}: ${percent} %.`,
  howItRose: 'How it rose',
} as const;
