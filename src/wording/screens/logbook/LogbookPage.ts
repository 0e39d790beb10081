/** What the screen says. */
export const words = {
  anyVerdict: 'Any verdict',
  abandoned: 'Abandoned',
  sortBy: 'Sort by',
  newestFirst: 'Newest first',
  oldestFirst: 'Oldest first',
  backToTheStart: 'Back to the start',
  newerBakes: 'Newer bakes',
  logbook: 'Logbook',
  searchAllBakes: 'Search all bakes',
  verdict: 'Verdict',
  only: (name: string) => `Only ${name}`,
  withBag: (name: string) => `Only with “${name}” in it, also in progress`,
  showAllBags: 'Show all bags',
  whatGoesWith: 'What goes with better scores',
  taught: 'What this kitchen has taught',
  adviceSoFar: 'How good the advice was',
  asTable: 'The log as a table (CSV)',
  asJson: 'The log as JSON',
  showAllFormulas: ': show all formulas',
  noBakeMatchesThat: 'No bake matches that.',
  nothingHereYetEveryBake:
    'Nothing here yet. Every bake that is closed at the bench is saved in this book, with what was planned and what was done.',
  olderBakes: 'Older bakes',
  choose: (name: string) => `Choose ${name} to compare`,
  chosen: (count: number, most: number) =>
    count === 1
      ? 'One chosen: choose another to compare.'
      : count === most
        ? `${count} chosen, as many as fit.`
        : `${count} chosen.`,
  chooseNone: 'Choose none',
  sideBySide: (count: number) => `Lay these ${count} side by side`,
} as const;
