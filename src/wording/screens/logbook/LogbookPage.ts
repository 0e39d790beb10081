/** What the screen says. */
export const words = {
  howeverTheyCameOut: 'Any verdict',
  givenUp: 'Abandoned',
  logbook: 'Logbook',
  findInNamesAndWords: 'Search names and notes',
  howTheyCameOut: 'Verdict',
  only: (name: string) => `Only ${name}`,
  showAllFormulas: ': show all formulas',
  noBakeInThisBook: 'No bake matches that.',
  nothingHereYetEveryBake:
    'Nothing here yet. Every bake that is closed at the bench is saved in this book, with what was planned and what was done.',
  toTheNewest: 'To the newest',
  olderBakes: 'Older bakes',
} as const;
