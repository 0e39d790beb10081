/** What the screen says. */
export const words = {
  theServerDidNotAnswer: 'The server did not answer. Try again.',
  theBranchCouldNotBe: 'The copy could not be made. Nothing is lost; try again.',
  somebodySavedANewerState: 'Somebody saved a newer version in between. Reload this page to see it.',
  itCouldNotBeBrought: 'It could not be restored. Nothing is lost; try again.',
} as const;
