/** What the screen says. */
export const words = {
  howTheScaleIsUsed: 'How the scale is used',
  zeroEachTime: 'Zero',
  runningTotal: 'Running total',
  inAJug: 'Jug',
  bowl: 'bowl',
  weightOfTheEmptyBowl: 'Weight of the empty bowl',
  jugs: 'Jugs',
  nameOfTheJug: 'Name of the jug',
  blueJug: 'blue jug',
  weightOfTheEmptyJug: 'Weight of the empty jug',
  addIt: 'Add it',
  anotherJug: 'Another jug',
  forget: (name: string) => `Forget ${name}`,
} as const;
