/** What the screen says. */
export const words = {
  aRecipeThatWorks: 'A recipe that works with it',
  title: (name: string) => `A recipe that works with ${name}`,
  whatIsPrintedOnTheBag:
    'The recipe on the bag, or one of yours. What the bag absorbs as a whole follows from it; what is guessed to be in it no longer matters for the water.',
  ofTheBag: 'Of the bag',
  waterAndMilk: 'Water, or milk',
  oilOrButter: 'Oil or melted butter',
  eggs: 'Eggs, without their shells',
  itsDoughFeels: 'Its dough feels',
  soLongAfterMixing: 'So long after mixing',
  asAWholeItAbsorbs: (times: string, plusMinus: string) =>
    `As a whole it absorbs ${times} ± ${plusMinus} times what its label suggests.`,
  thisTellsNothing: 'That tells nothing of it: there is too little of it in this dough.',
  sayHowMuch: 'Say how much of it and how much water.',
  asARecipeThatWorks: 'as a recipe that works',
} as const;
