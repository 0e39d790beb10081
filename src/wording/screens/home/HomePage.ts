/** What the screen says. */
export const words = {
  otherKitchens: 'other kitchens',
  thisIsAMadeUp: 'This is a made-up kitchen to look round in: change whatever you like. ',
  setUpMine: 'Set up mine',
  inProgress: 'In progress',
  everythingInProgress: 'Everything in progress',
  bakedLast: 'Baked last',
  theWholeLogbook: 'the whole logbook',
  whatYouBakeIs: 'What you bake is listed here, the newest first.',
} as const;
