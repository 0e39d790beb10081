/** What the screen says. */
export const words = {
  of: 'Of',
  iHave: 'I have',
  howMuchThereIs: 'How much there is',
} as const;
