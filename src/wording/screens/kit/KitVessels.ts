/** What the screen says. */
export const words = {
  title: 'Bowls, mixer, kettle, pans',
  none: 'With what they hold the batch says how many mixes it takes, and how many rings float at once.',
  kinds: { kettle: 'Kettle', pan: 'Pan', bowl: 'Bowl', mixer: 'Mixer' },
  aMixer: 'Mixer',
  holds: 'Holds',
  mostDough: 'Most dough at once',
  across: 'Across',
  add: 'A bowl, mixer, kettle or pan',
} as const;
