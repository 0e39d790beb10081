/** What the screen says. */
export const words = {
  theServerDidNotAnswer: 'The server did not answer. Press again: it will still be one bake.',
  theFormula: ' the formula',
  print: 'Print',
  toTheBench: 'To the bench',
  asALadder: 'As a ladder',
} as const;
