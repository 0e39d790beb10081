/** What the screen says. */
export const words = {
  oneMark: 'one mark',
  marks: (marks: number) => `${marks} marks`,
  useWhatAtTheBench: (part: string) =>
    `Use what ${part} at the bench taught: compared with a typical dough this one rises `,
  asFastAndHolds: ' as fast and holds ',
  asMuch: ' as much gas. ',
  theMarksLieOfIts: (decimal: string) => `The marks lie ${decimal} % of its volume from the curve.`,
} as const;
