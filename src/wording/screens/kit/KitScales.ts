/** What the screen says. */
export const words = {
  scales: 'Scales',
  theFinestFirstABatch:
    'The finest first. A batch is rounded to what the scale for each weight can show; above the last, its steps hold on.',
  upTo: 'Up to',
  thenUpTo: 'Then up to',
  inStepsOf: 'in steps of',
  stepsOfScale: (number: number) => `Steps of scale ${number}`,
  removeScale: (number: number) => `Remove scale ${number}`,
  aScaleForMore: 'A scale for more',
  areTheMostRemoveOne: (scales: number) => `${scales} are the most. Remove one to add another.`,
  theLastOneWeighsUp: 'The last one weighs up to a tonne: nothing is heavier.',
} as const;
