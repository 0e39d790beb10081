/** What the screen says. */
export const words = {
  didYours: 'The slice that was expected. Did yours look like it?',
  sliceThatWasExpected: 'the slice that was expected',
  sliceThatCame: 'the slice on the board',
  expected: 'expected',
  onTheBoard: 'on the board',
  form: 'Height to width',
  openness: 'Openness',
  gas: (percent: string) => `${percent} gas in all`,
  holes: (percent: string) => `${percent} holes to be seen`,
  evenness: 'Evenness',
  denseLine: 'Dense line',
} as const;
