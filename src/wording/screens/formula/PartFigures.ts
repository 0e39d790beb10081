/** What the screen says. */
export const words = {
  aPieceTakes: 'a piece takes',
  perPiece: (part: string) => `What a piece takes of ${part}`,
  itsShare: 'its share',
  left: (mass: string, pieces: number) =>
    `${mass} left over of ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`,
  short: (mass: string, pieces: number) =>
    `${mass} too little for ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`,
  keeps: (low: string, high: string, mass: string) => `the bread keeps ${low}-${high} % of it, ${mass}`,
  asUsual: 'as is usual',
} as const;
