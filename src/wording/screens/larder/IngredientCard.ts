/** What the screen says. */
export const words = {
  alsoCalled: (join: string) => `also called ${join}`,
  yourBag: 'Your bag: ',
  itsFiguresCountHere: '. Its figures count here instead of the library’s.',
  not: 'Not ',
  madeOf: 'Made of ',
  holdsFourBagsOfFive: (source: string) => `± holds four bags of five. ${source}`,
  useMyBagAgain: 'Use my bag again',
  useTheLibrarysFigures: 'Use the library’s figures again',
  restore: 'Restore',
  archiveIt: 'Archive it',
  changeIt: 'Change it',
  myBagOfIt: 'My bag of it',
  compare: 'Compare',
  compareWithAnother: (name: string) => `Compare ${name} with another`,
  remove: 'remove',
} as const;
