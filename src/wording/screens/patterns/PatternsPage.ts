import type { Made } from '@/core/record';

/** What the screen says. */
export const words = {
  theLogbook: 'The logbook',
  title: 'What goes with better scores',
  of: (name: string) => `Bakes of ${name}.`,
  looked: (scored: number, bakes: number) => `${scored} of ${bakes} bakes have a score: the eater’s verdict where there is one, else the mean of the baker’s four.`,
  ofOne: 'Of one formula, with how many of its bakes have a score:',
  group: (name: string, scored: number) => `${name} (${scored})`,
  overAll: 'Over all formulas',
  overAllHint: 'Only what is the same for every bread: how warm room and dough were, each score against what that formula usually gets.',
  mind: 'What goes with something need not make it: bakes in a warm room may be summer’s flour. So many figures are looked at that one or two look so by chance. A ladder tells.',
  few: 'There are too few scored bakes that differ: three on either side of a figure are the least.',
  figure: 'Figure', lower: 'lower half', upper: 'upper half', difference: 'upper over lower', eightOfTen: 'eight of ten',
  half: (score: string, count: number) => `${score} (${count})`,
  upTo: (value: string) => `up to ${value}`,
  from: (value: string) => `from ${value}`,
  chance: 'may be chance',
  worthALook: 'worth a ladder',
  chart: (figure: string, count: number) => `${count} bakes by ${figure}, each at its score`,
  score: 'score',
  made: {
    hydrationPercent: 'Hydration', saltPercent: 'Salt', binderPercent: 'Binders', yeastPercent: 'Yeast, as fresh', pieceDoughG: 'Dough a piece', roomC: 'Room', doughC: 'Dough from the bowl',
    riseMin: 'Time to rise', heatMin: 'Time in the heat', heatC: 'Heat', coolMin: 'Time to cool',
  } satisfies Record<Made, string>,
} as const; // prettier-ignore
