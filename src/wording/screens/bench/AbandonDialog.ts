/** What the screen says. */
export const words = {
  why: 'Why',
  whatWentWrong: 'What went wrong',
  goOnBaking: 'Keep baking',
  giveItUp: 'Abandon it',
  giveThisBakeUp: 'Abandon this bake?',
  whatWasDoneSoFar: 'What was done so far stays in the logbook.',
} as const;
