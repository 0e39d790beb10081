/** What the screen says. */
export const words = {
  alsoCalled: (join: string) => `also called ${join}`,
  yourBag: 'Your bag: ',
  itsFiguresStandHereInstead: '. Its figures count here instead of the library’s.',
  not: 'Not ',
  madeOf: 'Made of ',
  holdsFourBagsOfFive: (source: string) => `± holds four bags of five. ${source}`,
  useMyBagAgain: 'Use my bag again',
  backToTheLibrarysFigures: 'Use the library’s figures again',
  bringBack: 'Restore',
  putAway: 'Archive it',
  changeIt: 'Change it',
  theBagIHold: 'My bag of it',
  compare: 'Compare',
  compareWithAnother: (name: string) => `Compare ${name} with another`,
  remove: 'remove',
} as const;
