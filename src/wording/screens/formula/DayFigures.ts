/** What the screen says. */
export const words = {
  readyToBake: 'ready to bake',
  afterMixing: 'after mixing',
  noVisibleRise: 'no visible rise',
  mayBeCut: 'may be cut',
  eatFrom: 'eat from',
  outOfTheOven: 'out of the oven',
  later: 'later',
} as const;
