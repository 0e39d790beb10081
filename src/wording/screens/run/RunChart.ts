/** What the screen says. */
export const words = {
  shortened: (formatDuration: string) => `${formatDuration}, shortened`,
  riseDoughOvenAndCore:
    'Rise, dough, oven and core temperature over one clock, from the first step to the last',
  stepsOnTheClock: 'Steps on the clock',
} as const;
