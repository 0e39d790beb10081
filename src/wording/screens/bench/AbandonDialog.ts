/** What the screen says. */
export const words = {
  why: 'Why',
  whatWentWrong: 'What went wrong',
  keepBaking: 'Keep baking',
  abandonIt: 'Abandon it',
  abandonThisBake: 'Abandon this bake?',
  whatWasDoneSoFar: 'What was done so far stays in the logbook.',
} as const;
