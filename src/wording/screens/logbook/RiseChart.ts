/** What the screen says. */
export const words = {
  atTheMark: (clock: string, of: string, percent: string) => ` At ${clock}, ${of}: ${percent} %.`,
  howItRose: 'How it rose',
} as const;
