/** What the screen says. */
export const words = {
  ladderIn: (axis: string) => `The ladder: ${axis}`,
  question: 'Question',
  tastedOn: (occasion: string, count: number) =>
    `Tasted ${occasion}: ${count === 1 ? 'one card' : `${count} cards`}.`,
  tasteTwo: 'Taste at least two of the breads, each by its code. Then it is shown what the difference did.',
  best: (chance: string) => `is the best of them, as far as these cards tell: ${chance} likely.`,
  highest: (chance: string) => `scores highest of them: ${chance} likely.`,
  twoSay: (chance: string, rises: boolean) =>
    `Two breads say which way it goes, and no more: ${rises ? 'more is higher' : 'less is higher'}, ${chance} likely.`,
  topAt: (value: string, low: string, high: string) =>
    `The highest score lies about ${value}, most likely between ${low} and ${high}.`,
  noTop: 'No top can be told within what was tried: it goes one way, or the breads are too alike.',
  teaches: (value: string) => `One more bread at ${value} would teach most.`,
  oneLadder:
    'One dough, on one day: another day differs too. Three points and a few tasters never make certain.',
  whichIsWhich: 'Which code is which (look when everybody has tasted)',
  point: (rung: string, score: string, tasters: number) =>
    `${rung}: ${score}, ${tasters === 1 ? 'one card' : `${tasters} cards`}.`,
  interval: '80 % between',
  expected: 'to be expected',
  cards: 'cards',
} as const;
