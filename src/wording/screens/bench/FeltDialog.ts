/** What the screen says. */
export const words = {
  howDoesItFeel: 'How does it feel?',
  yourHandIsRight: 'Your hand is right. From it the application learns how much water your flours absorb.',
} as const;
