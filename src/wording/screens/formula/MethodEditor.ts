/** What the screen says. */
export const words = {
  step: (number: number, name: string) => `step ${number}, ${name}`,
  thatPlace: 'that place',
  noStepsYetPutDown:
    'No steps yet. Put down what you do in order: bloom, mix, let it rest, proof, bake, cool. Each with a time or with what to wait for.',
  addAStep: 'Add a step',
  theDoughParts: 'The dough parts',
  short: (missing: string, dough: string) => `${missing} more are wanted than the ${dough} of dough give`,
  left: (dough: string, left: string | null) =>
    left ? `${dough}, ${left} left over` : `${dough}, nothing left over`,
  anotherBread: 'One more bread',
  anotherName: (number: number) => `Bread ${number}`,
  partTheDough: 'Make several breads of it',
  after: (number: number, name: string) => `from after step ${number}, ${name}`,
  method: 'Method',
  inTotal: ' in total, ',
  handsOn: 'hands-on',
  withoutATime: (untimed: number) => `, ${untimed} without a time`,
} as const;
