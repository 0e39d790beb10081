/** What the screen says. */
export const words = {
  whatHappenedWhen: 'What happened when',
  noStepWasTickedAnd: 'No step was ticked and nothing was noted.',
  itFelt: 'It felt ',
  at: (what: string) => `${what} at `,
  openedAgainItHadBeen: (time: string) => `Opened again (it had been ended at ${time})`,
  planned: (minS: string) => `planned ${minS}`,
} as const;
