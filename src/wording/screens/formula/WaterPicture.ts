/** What the screen says. */
export const words = {
  noWaterInItYet: 'No water in it yet.',
  theWater: 'The water',
  atWhichMoment: 'At which moment',
  mixed: 'mixed',
  from: 'from',
  heldBy: 'held by',
  free: ' free',
  bound: 'bound in egg and the like',
  inTheEndThePowders: (shortG: string) => `; in the end the powders would take ${shortG} more than there is`,
  moreThanThePowdersWill: '; more than the powders will ever take',
} as const;
