/** What the screen says. */
export const words = {
  weightsInGramsChangeTo: 'Weights in grams: change to ounces',
  oz: 'oz',
  weightsInOuncesChangeTo: 'Weights in ounces: change to grams',
  temperaturesInCelsiusChangeTo: 'Temperatures in Celsius: change to Fahrenheit',
  temperaturesInFahrenheitChangeTo: 'Temperatures in Fahrenheit: change to Celsius',
  cm: 'cm',
  lengthsInCentimetresChangeTo: 'Lengths in centimetres: change to inches',
  inWord: 'in',
  lengthsInInchesChangeTo: 'Lengths in inches: change to centimetres',
} as const;
