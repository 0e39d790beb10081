/** What the screen says. */
export const words = {
  name: 'Name',
  alsoCalled: 'Also called',
  separatedByCommas: 'separated by commas',
  family: 'Family',
  whatItIsInThe: 'What it is in the dough',
} as const;
