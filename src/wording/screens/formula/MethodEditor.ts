/** What the screen says. */
export const words = {
  step: (number: number, name: string) => `step ${number}, ${name}`,
  thatPlace: 'that place',
  noStepsYetPutDown:
    'No steps yet. Put down what you do in order: bloom, mix, let it rest, proof, bake, cool. Each with a time or with what to wait for.',
  addAStep: 'Add a step',
  method: 'Method',
  inTotal: ' in total, ',
  handsOn: 'hands-on',
  withoutATime: (untimed: number) => `, ${untimed} without a time`,
} as const;
