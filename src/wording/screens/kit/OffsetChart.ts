/** What the screen says. */
export const words = {
  offTheDialEachReading: 'Off the dial: each reading, what is taken from them, and its range',
  dialAt: (decimal: string, temperatureUnit: string) => `dial at ${decimal} ${temperatureUnit}`,
  takenAs: 'taken as',
  range: 'range',
  reading: 'reading',
} as const;
