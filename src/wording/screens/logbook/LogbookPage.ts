/** What the screen says. */
export const words = {
  howeverTheyCameOut: 'Any verdict',
  givenUp: 'Abandoned',
  sortedBy: 'Sort by',
  newestFirst: 'Newest first',
  oldestFirst: 'Oldest first',
  backToTheStart: 'Back to the start',
  newerBakes: 'Newer bakes',
  logbook: 'Logbook',
  findInNamesAndWords: 'Search names and notes',
  howTheyCameOut: 'Verdict',
  only: (name: string) => `Only ${name}`,
  showAllFormulas: ': show all formulas',
  noBakeInThisBook: 'No bake matches that.',
  nothingHereYetEveryBake:
    'Nothing here yet. Every bake that is closed at the bench is saved in this book, with what was planned and what was done.',
  olderBakes: 'Older bakes',
} as const;
