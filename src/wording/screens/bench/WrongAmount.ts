interface MendFigures {
  /** "62 g water and 1.2 g salt". */
  readonly moves: string;
  readonly pieces: number;
  readonly size: string;
}

/** What the screen says. */
export const words = {
  aWrongAmount: 'Not the amount that was asked for',
  tooMuch: (name: string) => `Too much ${name.toLowerCase()}`,
  tooLittle: (name: string) => `Too little ${name.toLowerCase()}`,
  insteadOf: (is: string, wanted: string) => `${is} instead of ${wanted}`,
  otherBand: (now: string, planned: string) => `The dough: ${now} instead of ${planned}`,
  staysBand: (now: string) => `The dough: still ${now}`,
  hydration: (now: string, planned: string) => `water ${now} instead of ${planned}`,
  salt: (now: string, planned: string) => `salt ${now} instead of ${planned}`,
  yeast: (more: boolean) => (more ? 'it will rise faster' : 'it will rise more slowly'),
  and: ' and ',
  move: (mass: string, name: string) => `${mass} ${name}`,
  thenItIs: (band: string) => `then it is ${band}`,
  mend: {
    carryOn: () => 'Carry on as it is',
    addRest: ({ moves }: MendFigures) => `Add the rest: ${moves}`,
    takeOut: ({ moves }: MendFigures) => `Take it out again: ${moves}`,
    balance: ({ moves }: MendFigures) => `Put in more: ${moves}`,
    moreOfAll: ({ pieces, size }: MendFigures) => `More of everything: ${pieces} of ${size}`,
    lessOfAll: ({ pieces, size }: MendFigures) => `Less of everything: ${pieces} of ${size}`,
  },
} as const;
