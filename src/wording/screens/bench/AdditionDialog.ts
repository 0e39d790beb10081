/** What the screen says. */
export const words = {
  sayWhatWentInAnd: 'Say what went in, and how much.',
  howMuch: 'How much',
  weightOfWhatWentIn: 'Weight of what went in',
  onTheBench: 'On the board, for shaping: about half of it counts',
  why: 'Why',
  whyItWentIn: 'Why it went in',
  tooWetByFeel: 'too wet by feel',
  saveIt: 'Save it',
  somethingExtraWentIn: 'Something extra went in',
  itCountsInThisBakes: 'It counts in this bake’s hydration and stays in its log.',
  another: 'Another …',
  anotherIngredient: 'Another ingredient',
} as const;
