/** What the screen says. */
export const words = {
  whatHappenedWhen: 'What happened when',
  noStepWasTickedAnd: 'No step was ticked and nothing was noted.',
  itFelt: 'It felt ',
  at: (part: string) => `${part} at `,
  openedAgainItHadBeen: (endedAtMs: string) => `Opened again (it had been ended at ${endedAtMs})`,
  planned: (minS: string) => `planned ${minS}`,
} as const;
