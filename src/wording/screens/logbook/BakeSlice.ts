/** What the screen says. */
export const words = {
  expected: 'The slice that was expected. Did yours look like it?',
} as const;
