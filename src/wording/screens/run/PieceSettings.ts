/** What the screen says. */
export const words = {
  tinInnerLength: 'Tin, inner length',
  bakedAs: 'Baked as: ',
  inWord: ', in ',
  anOrdinaryOven: 'an ordinary oven',
  shape: 'Shape',
  oven: 'Oven',
  tin: 'Tin',
  aUsualOne: 'a usual one',
  itsWall: 'Its wall',
  tinWall: 'Tin wall',
  tinInnerWidth: 'Tin, inner width',
  piecesInTheOvenAt: 'Pieces in the oven at once',
  length: 'Length',
  across: 'Across',
} as const;
