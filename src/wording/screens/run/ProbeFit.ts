/** What the screen says. */
export const words = {
  hadAProbeInIt: (name: string) => `Had a probe in it? Fit: ${name}`,
  timeAndCoreTemperatureOne:
    'Time and core temperature, one reading a line, from the moment of loading. It is fitted for this formula as it is now.',
  probeReadings: 'Probe readings',
  orAFile: 'or a file',
  thatFileIsTooBig: 'That file is too big for a probe’s log.',
  fitting: 'Fitting …',
  fitTheOven: 'Fit the oven',
  savedWithEveryTimeline: (name: string) => `Saved with ${name}; every timeline is calculated with it now.`,
  theOvenIs: 'The oven is ',
  cooler: 'cooler',
  hotter: 'hotter',
  thanItsDialAndHeats: (offset: string, spread: string) =>
    ` ${offset} than its dial (± ${spread}) and heats `,
  ofAnOrdinaryOneThe: (pace: string, points: number, off: string) =>
    ` of an ordinary one (± ${pace}). The fitted bake misses the ${points} readings by ${off}°.`,
  useThisFromNowOn: 'Use this from now on',
} as const;
