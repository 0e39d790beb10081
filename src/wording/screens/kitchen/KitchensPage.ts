/** What the screen says. */
export const words = {
  honest: 'Honest',
  crumb: 'Crumb',
  forPeopleWhoBakeGluten:
    'For people who bake gluten-free bread with yeast. Write a formula, and it says how wet the dough is, when it is risen, when it is baked and when it may be cut, with honest ranges. Then it leads you through the day at the scales, and afterwards tells you what to change.',
  yourKitchens: 'Your kitchens',
  setUpYourKitchen: 'Set up your kitchen',
  anotherKitchen: 'Another kitchen',
  threeQuestionsEachWithAn:
    'Three questions, each with an answer that does for now. Three formulas to begin with, or none.',
  setUpMine: 'Set up mine',
  setUpAnother: 'Set up another',
  everythingStaysOnThisMachine:
    'Everything stays on this machine: no account, no cloud. Anybody who can open this address can write here.',
  exportWord: 'Export',
  exportNamed: (name: string) => `Export ${name}`,
  thatIsMoreThanA: 'That is more than a browser should carry: ./crumb import takes it.',
  thatIsNoFileOf: 'That is no file of a kitchen. Nothing was changed.',
  atTheTopOf: 'At the top of the file',
  itCannotBeTakenAnd: (part: string, problem: string) =>
    `It cannot be taken, and nothing was changed. ${part}: ${problem}`,
  chooseTheFileAgain: 'The server did not answer. Choose the file again: it will still be one kitchen.',
  fromAFile: 'From a file',
  aKitchenThatWasExported:
    'A kitchen that was exported here or elsewhere: formulas with every version, bakes, ingredients and equipment. It is added beside the others; none of them changes.',
  aKitchensFile: 'A kitchen’s file',
  readingIt: 'Reading it …',
  chooseTheFile: 'Choose the file',
  theServerDidNotAnswer: 'The server did not answer. Press again.',
  lookRound: 'Look round',
  isAMadeUpKitchen: (name: string) =>
    `${name} is a made-up kitchen with ten formulas and a month of bakes. Change whatever you like there: it can be reset at any time.`,
  lookRoundIn: (name: string) => `Look round in ${name} `,
  yesResetItChanges: 'Yes, reset it; changes there are lost',
  resetIt: 'Reset it',
  removeIt: 'Remove it',
  theMadeUpKitchenHas: 'The made-up kitchen has been removed. It can come back, with its formulas and bakes.',
  restoreIt: 'Restore it',
  yesRemoveItAndWhat: 'Yes, remove it and what was done there',
} as const;
