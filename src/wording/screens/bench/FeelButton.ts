/** What the screen says. */
export const words = {
  feels: 'Feels ',
  howItFeels: 'How it feels',
} as const;
