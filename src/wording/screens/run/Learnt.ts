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
} as const;
