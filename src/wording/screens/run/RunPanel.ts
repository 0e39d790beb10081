/** What the screen says. */
export const words = {
  computingRiseAndBake: 'Calculating rise and bake …',
  flourAndWaterOnThe:
    'Add flour and water to the formula and steps to the method: then its day is drawn here.',
  stepsInTheMethodAbove: 'Add steps to the method: then its day is drawn here.',
  theComputationBrokeOffChange: 'The calculation stopped. Change anything to start it again.',
  computingOf: (done: number, of: number) => `calculating ${done} of ${of} …`,
  ovenDashedItsSpring: 'oven; dashed: its spring',
  middleOfThePieceWith: 'middle of the piece, with its range',
  linesOfThePicture: 'Lines of the picture',
  stepInTheHand: 'Selected step',
  none: 'none',
  doughRiseAndWarmth: 'dough: rise and warmth, with its range',
} as const;
