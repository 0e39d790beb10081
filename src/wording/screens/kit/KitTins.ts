/** What the screen says. */
export const words = {
  innerLength: 'Inner length',
  innerWidth: 'Inner width',
  innerHeight: 'Inner height',
  aLoafTin: 'A loaf tin',
  measureATinInsideOnce: 'Measure a tin inside once: its loaf’s height and time are calculated from then on.',
  aTin: 'A tin',
  tins: 'Tins',
  howMany: 'How many',
} as const;
