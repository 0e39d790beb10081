/** What the screen says. */
export const words = {
  weightBefore: 'Weight before',
  planned: (figure: string) => `planned ${figure}`,
  weightAfter: 'Weight after',
  outOfTheOven: 'out of the oven',
  inTheMiddle: 'in the middle',
  inWords: 'In words',
  theCutTheSmellThe: 'The cut, the smell, the next day. What you would change.',
  pressOnceMoreToClose: 'Press once more to close it. Anything else goes on baking.',
  howWasIt1Poor: 'How was it? 1 poor, 5 as good as it gets',
  bakeItAgain: 'Bake it again?',
  wouldIBakeItAgain: 'Would I bake it again',
  pieces: 'Pieces',
  core: 'Core',
} as const;
