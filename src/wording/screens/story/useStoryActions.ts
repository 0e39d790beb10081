/** What the screen says. */
export const words = {
  theServerDidNotAnswer: 'The server did not answer. Try again.',
  theCopyCouldNot: 'The copy could not be made. Nothing is lost; try again.',
  somebodySavedANewer: 'Somebody saved a newer version in between. Reload this page to see it.',
  itCouldNotBe: 'It could not be restored. Nothing is lost; try again.',
} as const;
