/** What the screen says. */
export const words = {
  oneMark: 'one mark',
  marks: (marks: number) => `${marks} marks`,
  useWhatAtTheBench: (part: string) =>
    `Use what ${part} at the bench taught: compared with a typical dough this one rises `,
  /** Of a dough that was never marked itself: its jar of yeast was, in others. */
  asFast: ' as fast. ',
  asFastAndHolds: ' as fast and holds ',
  asMuch: ' as much gas. ',
  theMarksLieOfIts: (percent: string) => `The marks lie ${percent} % of its volume from the curve.`,
  useWhatCuts: (cuts: number) =>
    `Use what the picture${cuts === 1 ? ' of one cut' : `s of ${cuts} cuts`} taught: its bread stands `,
  andCuts: (cuts: number) => ` By the picture${cuts === 1 ? ' of one cut' : `s of ${cuts} cuts`} it stands `,
  asHigh: (low: string, high: string) =>
    ` as high for its width as drawn from the books (${low} to ${high}). `,
  wasOff: (before: string, now: string) =>
    `That was off by ${before} % before, and is by ${now} % when each cut is foretold from the others.`,
} as const;
