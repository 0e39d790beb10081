/** What the screen says. */
export const words = {
  thermometerReadings: (count: number) => `Thermometer readings (${count})`,
  deleteTheReadingAt: (dialC: string) => `Delete the reading at ${dialC}`,
  anOvenThermometerOnThe:
    'An oven thermometer on the middle shelf, a quarter of an hour after the lamp went out. Three or four settings make it sure. Thermometer readings count until a probe trace is fitted.',
  onTheDial: 'On the dial',
  aThermometerInsideSays: 'A thermometer inside says',
  moreThanApartNoOven: (decimal: string) =>
    `More than ${decimal}° apart: no oven is that far off. Check both.`,
  takeThisReading: 'Take this reading',
} as const;
