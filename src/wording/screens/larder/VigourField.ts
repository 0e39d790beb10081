/** What the screen says. */
export const words = {
  howLivelyItIs: 'How lively it is',
  asNew: 'as new',
  aMonthPastItsDate: 'a month past its date',
  foamedSlowlyInTheCup: 'foamed slowly in the cup',
  hardlyFoamed: 'hardly foamed',
  worksAtOfNewYeast: 'Works at, of new yeast',
} as const;
