/** What the screen says. */
export const words = {
  theCopyCouldNotBe: 'The copy could not be made. Nothing is lost; try again.',
  thatDidNotReachThe: 'That did not reach the server. Try again.',
  theFormulaIsNot:
    'The formula is not saved yet, so there is nothing to make a batch of. See the message beside its name.',
} as const;
