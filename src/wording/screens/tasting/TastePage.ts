/** What the screen says. */
export const words = {
  aHalfFilledCard: 'A half-filled tasting card',
  scoreIs: (score: number, words: string) => `${score}: ${words}`,
  theBake: ' the bake',
  putRight: 'Put a tasting right',
  tasting: (name: string) => `Tasting: ${name}`,
  ofThe: (day: string) => `baked ${day}`,
  saved: (who: string) => `Saved, with thanks to ${who}. The next taster may begin.`,
  somebody: 'whoever tasted',
  whoTastes: 'Who tastes?',
  when: 'When',
  leaveOpen: 'Answer what you can tell, and leave the rest open. Press an answer again to take it back.',
  inWords: 'In your own words',
  noName: 'That is no name that can be saved: letters, and not too many.',
  nothingSaid: 'Nothing is said yet: answer one question, or write a word.',
  saveCorrection: 'Save the correction',
  saveCard: 'Save this card',
} as const;
