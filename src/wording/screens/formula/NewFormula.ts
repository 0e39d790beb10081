/** What the screen says. */
export const words = {
  thisNameCantBeSaved: 'This name can’t be saved. Use up to 80 ordinary letters.',
  theServerDidNotAnswer: 'The server did not answer. Try again.',
  name: 'Name',
  giveItAName: 'Give it a name.',
  createIt: 'Create it',
  aNewFormula: 'A new formula',
  onlyANameForNow: 'Only a name for now; everything else comes after.',
} as const;
