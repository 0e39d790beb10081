/** What the screen says. */
export const words = {
  theDoughCanRise: (low: number, high: number) => `The dough can rise by ${low} to ${high} %.`,
  atTheEndOf: (temperature: string) => `At the end of the bake the middle is at ${temperature}.`,
  shortened: (formatDuration: string) => `${formatDuration}, shortened`,
  riseDoughOvenAndCore:
    'Rise, dough, oven and core temperature over one clock, from the first step to the last',
  stepsOnTheClock: 'Steps on the clock',
  volume: 'Volume',
  temperature: 'Temperature',
} as const;
