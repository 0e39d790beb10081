/** What the screen says. */
export const words = {
  theFormula: ' the formula',
  historyOf: (name: string) => `History of ${name}`,
  itBeganAsA: 'It began as a copy of ',
  atVersion: (revision: number) => ` at version ${revision}.`,
  everyVersionAndWhat: 'Every version, and what it changed. Tick two to compare them.',
  copyIs: 'copy is',
  copiesAre: 'copies are',
  olderNotListedHereFind: (moreBranches: number, part: string) =>
    `${moreBranches} older ${part} not listed here: find them among the formulas.`,
  olderOnes: 'Older ones',
  version: (version: number) => `Version ${version}`,
  asItIsNow: 'as it is now',
  makeACopyFrom: 'Make a copy from here',
  restore: 'Restore',
  howItBegan: 'How it began.',
  whatCameBeforeIsFurther: 'What came before is further down.',
  wasCopiedFromHere: ' was copied from here',
  fromVersionTo: (from: number, fromTime: string, to: number, toTime: string) =>
    `From version ${from} (${fromTime}) to ${to} (${toTime})`,
  twoCompared: 'Two compared',
  bakedTimes: (count: number) => (count === 1 ? 'baked once' : `baked ${count} times`),
} as const;
