/** What the screen says. */
export const words = {
  oneMark: 'one mark',
  marks: (marks: number) => `${marks} marks`,
  useWhatAtTheBench: (part: string) =>
    `Use what ${part} at the bench taught: compared with a typical dough this one rises `,
  asFastAndHolds: ' as fast and holds ',
  asMuch: ' as much gas. ',
  theMarksLieOfIts: (percent: string) => `The marks lie ${percent} % of its volume from the curve.`,
} as const;
