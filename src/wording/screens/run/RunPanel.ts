/** What the screen says. */
export const words = {
  calculatingRiseAndBake: 'Calculating rise and bake …',
  addFlourAndWater: 'Add flour and water to the formula and steps to the method: then its day is drawn here.',
  addStepsToThe: 'Add steps to the method: then its day is drawn here.',
  theCalculationStoppedChange: 'The calculation stopped. Change anything to start it again.',
  calculatingOf: (done: number, of: number) => `calculating ${done} of ${of} …`,
  ovenDashedItsSpring: 'oven; dashed: its spring',
  middleOfThePieceWith: 'middle of the piece, with its range',
  linesOfThePicture: 'Lines of the picture',
  selectedStep: 'Selected step',
  none: 'none',
  doughRiseAndWarmth: 'dough: rise and warmth, with its range',
} as const;
