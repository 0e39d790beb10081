/** What the screen says. */
export const words = {
  theLogbook: 'The logbook',
  title: 'How good the advice was',
  lead: 'Each change that was taken after a bake, held against what was tasted of the bread made by it.',
  nothing: 'No advice has been taken yet. After a bake has been tasted, its page says what to change next.',
  right: (right: number, checked: number) => `${right} of ${checked} right`,
  inside: (inside: number, scores: number) => `${inside} of ${scores} scores inside of the eight of ten that were told`,
  few: 'So few say little yet.',
  confirmed: (right: number, told: number) => `The likeliest cause was the true one in ${right} of ${told} that were told.`,
  bake: 'Bake',
  said: 'Said to be',
  change: 'Change',
  became: 'What became of it',
  percent: (value: string) => `${value} %`,
  wasReally: (cause: string) => `it was: ${cause}`,
  nextBread: 'the next bread',
} as const; // prettier-ignore
