/** What the screen says. */
export const words = {
  sliceThatWasExpected: 'The slice that was expected. Did yours look like it?',
} as const;
