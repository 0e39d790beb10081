/** What the screen says. */
export const words = {
  feltOnceAtTheBench: 'felt once at the bench',
  feltTimesAtTheBench: (feels: number) => `felt ${feels} times at the bench`,
  once: 'once',
  times: (feels: number) => `${feels} times`,
  itAbsorbs: 'it absorbs',
  itAbsorbsAsExpected: 'it absorbs as expected,',
  feltAtTheBench: (bakes: string, verdict: string) => `Felt at the bench ${bakes}: ${verdict} `,
  gOfWaterPerG: ' g of water per g',
  timesWhatItsLabelSuggests: ' times what its label suggests',
  beforeThat: '; before that ',
  inUse: 'In use.',
  useIt: 'Use it',
  yourOwnFigureStandsChange:
    'Your own figure stands; change it where you wrote it, if your hand knows better.',
} as const;
