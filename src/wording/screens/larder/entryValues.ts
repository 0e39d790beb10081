/** What the screen says. */
export const words = {
  sayWhichBagItIs: 'Say which bag it is.',
  giveItAName: 'Give it a name.',
  thePartsMustAddUp: 'The parts must add up.',
} as const;
