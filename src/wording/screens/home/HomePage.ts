/** What the screen says. */
export const words = {
  theDay: 'The day',
  planADay: 'Plan a day',
  starters: 'Starters',
  orders: 'Orders',
  ovenRises: (bread: string, until: string) => `is off: ${bread} rises in it until ${until}`,
  ovenBakes: (what: string, until: string) => `bakes ${what} until ${until}`,
  ovenCold: (lit: string) => `is cold; light it at ${lit}`,
  ovenHot: (temp: string, at: string) => `heats to ${temp} for ${at}`,
  otherKitchens: 'other kitchens',
  thisIsAMadeUp: 'This is a made-up kitchen to look round in: change whatever you like. ',
  setUpMine: 'Set up mine',
  inProgress: 'In progress',
  everythingInProgress: 'Everything in progress',
  bakedLast: 'Baked last',
  theWholeLogbook: 'the whole logbook',
  whatYouBakeIs: 'What you bake is listed here, the newest first.',
} as const;
