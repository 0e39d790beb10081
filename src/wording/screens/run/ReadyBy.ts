/** What the screen says. */
export const words = {
  sayAfterHowLongIt: 'Say after how long it should be ready.',
  noAmountOfYeastFrom: 'No amount of yeast from a fiftieth to eight times this one does that.',
  noTemperatureAtWhichDough:
    'No temperature at which dough rises does that: the earlier steps take too long, or it is too soon.',
  haveItReadyByA: 'Have it ready by a time',
  readyAfterMixingIn: 'Ready after mixing in',
  from10MinutesToThree: 'From 10 minutes to three days.',
  theYeast: 'the yeast',
  set: (what: string) => `Set ${what}`,
  theProof: 'the proof',
  setHowWarm: (what: string) => `Set how warm: ${what}`,
  none: 'none',
  now: (temperature: string) => `now ${temperature}`,
} as const;
