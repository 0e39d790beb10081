/** What the screen says. */
export const words = {
  theFormula: ' the formula',
  ladderOf: (name: string) => `A ladder of ${name}`,
  whatItIs:
    'One dough, parted into a few breads that differ in one thing alone. Look at them, taste them by code, and see what the difference did.',
  partsAlready: 'This dough parts into several breads already, or has nothing that a ladder could vary.',
  whatDiffers: 'What differs',
  howMany: 'How many breads',
  breads: (count: number) => String(count),
  rung: (nth: number) => `Rung ${nth}`,
  piecesEach: 'Pieces of each',
  doughOfOne: 'Dough of one, on the rung that has least',
  weighedOut: 'Weighed out',
  commonDough: (count: number) => `of common dough, parted into ${count}`,
  theRung: 'Rung',
  getsToo: 'gets too',
  becomes: 'becomes',
  nothingMore: 'nothing more',
  codes:
    'On the bench each has a code of three digits. Mark the breads with it, and let others taste them blind.',
  toTheBench: 'To the bench',
} as const;
