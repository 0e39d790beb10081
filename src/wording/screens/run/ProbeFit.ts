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
  savedWithEveryRunIs: (name: string) => `Saved with ${name}; every timeline is calculated with it now.`,
  theOvenIs: 'The oven is ',
  cooler: 'cooler',
  hotter: 'hotter',
  thanItsDialAndHeats: (part: string, decimal: string) => ` ${part} than its dial (± ${decimal}) and heats `,
  ofAnOrdinaryOneThe: (decimal: string, points: number, decimal2: string) =>
    ` of an ordinary one (± ${decimal}). The fitted bake misses the ${points} readings by ${decimal2}°.`,
  useThisFromNowOn: 'Use this from now on',
} as const;
