import type { CompareGroup } from '@/core/bake';

const GROUP: Readonly<Record<CompareGroup, string>> = {
  amounts: 'What went in',
  bags: 'Bags',
  times: 'Times',
  heat: 'Temperatures and loss',
  crumb: 'The crumb, as read from its picture',
  scores: 'Scores',
};

/** What the screen says. */
export const words = {
  group: GROUP,
  theLogbook: ' the logbook',
  sideBySide: 'Side by side',
  whatDiffers: 'What differs comes first. Amounts are what was weighed, in percent of the flour base.',
  version: (revision: number) => `version ${revision}`,
  nothingDiffers: 'Nothing here differs by more than a hand or a thermometer leaves.',
  hideAlike: 'Show only what differs',
  knownOfOne: 'Known of one of them alone.',
  alike: (count: number) => (count === 1 ? 'One more is alike' : `${count} more are alike`),
  pictures: 'The slices',
  expected: 'as expected',
  onTheBoard: 'on the board',
  noPicture: 'no picture',
  rose: 'How they rose',
  chooseTwo:
    'Choose two to six bakes in the logbook to lay them side by side. Some of those in this address are not here.',
  hydration: 'Hydration, all water',
  none: 'none',
  binder: 'Binders',
  pieceMass: 'Dough of a piece',
  room: 'The room',
  dough: 'The dough',
  core: 'Core when it came out',
  loss: 'Weight lost',
  porosity: 'Porosity',
  evenness: 'Evenness',
  tunnel: 'Longest hole, of the width',
  denseLine: 'Dense line, of the height',
  form: 'Height to width',
  time: (step: string) => `${step}: time`,
  heat: (step: string) => `${step}: heat`,
  bag: (ingredient: string) => `Bag of ${ingredient}`,
  nth: (step: string, nth: number) => (nth === 1 ? step : `${step} ${nth}`),
  minutesIn: 'min from the start',
} as const;
