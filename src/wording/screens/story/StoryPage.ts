/** What the screen says. */
export const words = {
  theSheet: ' the formula',
  theStoryOf: (name: string) => `History of ${name}`,
  itBranchedOff: 'It began as a copy of ',
  atRevision: (revision: number) => ` at version ${revision}.`,
  eachTimeTheSheetWas: 'Every version, and what it changed. Tick two to compare them.',
  branchIs: 'copy is',
  branchesAre: 'copies are',
  olderNotListedHereFind: (moreBranches: number, part: string) =>
    `${moreBranches} older ${part} not listed here: find them on the shelf.`,
  olderOnes: 'Older ones',
  revision: (numberOf: number) => `Version ${numberOf}`,
  asItIsNow: 'as it is now',
  branchFromHere: 'Make a copy from here',
  bringBack: 'Restore',
  howItBegan: 'How it began.',
  whatCameBeforeIsFurther: 'What came before is further down.',
  branchedOffHere: ' was copied from here',
  fromRevisionTo: (numberOf: number, savedAtMs: string, numberOf2: number, savedAtMs2: string) =>
    `From version ${numberOf} (${savedAtMs}) to ${numberOf2} (${savedAtMs2})`,
  twoCompared: 'Two compared',
} as const;
