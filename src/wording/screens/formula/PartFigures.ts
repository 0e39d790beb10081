/** What the screen says. */
export const words = {
  aPieceTakes: 'a piece takes',
  perPiece: (part: string) => `What a piece takes of ${part}`,
  itsShare: 'its share',
  left: (mass: string, pieces: number) =>
    `${mass} left over of ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`,
  short: (mass: string, pieces: number) =>
    `${mass} too little for ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`,
  theBreadKeeps: 'the bread keeps',
  keptOf: (part: string) => `What the bread keeps of ${part}`,
  range: (low: string, high: string) => (low === high ? low : `${low} - ${high}`),
  ofItThatIs: (mass: string) => `of it: ${mass}`,
  twoNumbers: 'One number, or two with a dash between.',
  whatIsLeftKeeps: 'what is left keeps',
  keptWhere: (part: string) => `Where what is left of ${part} keeps`,
  keptDays: (part: string) => `How long what is left of ${part} keeps`,
  days: 'days',
  notSaid: 'not said',
  asUsual: 'as is usual',
} as const;
