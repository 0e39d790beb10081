/** What the screen says. */
export const words = {
  didYours: 'The slice that was expected. Did yours look like it?',
  sliceThatWasExpected: 'the slice that was expected',
  sliceThatCame: 'the slice on the board',
  expected: 'expected',
  onTheBoard: 'on the board',
  nextTime: (cuts: number) => `next, taught by ${cuts === 1 ? 'this cut' : `${cuts} cuts`}`,
  form: 'Height to width',
  openness: 'Holes to be seen',
  evenness: 'Evenness',
  denseLine: 'Dense line',
} as const;
