/** What the screen says. */
export const words = {
  offTheDialEachReading: 'Off the dial: each reading, what is taken from them, and its range',
  dialAt: (dial: string, unit: string) => `dial at ${dial} ${unit}`,
  takenAs: 'taken as',
  range: 'range',
  reading: 'reading',
} as const;
