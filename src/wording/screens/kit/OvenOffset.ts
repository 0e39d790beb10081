/** What the screen says. */
export const words = {
  at: (temperature: string) => ` at ${temperature}`,
  at2: (off: string, temperature: string) => `${off} at ${temperature}`,
  notKnownTakenAsRight: (give: string) => `not known: taken as right, give or take ${give}°`,
  itsDialIsOffBy: 'Its dial is off by',
  trace: 'trace',
  traces: 'traces',
  fromProbeItHeatsOf: (traces: number, part: string, decimal: string, decimal2: string, decimal3: string) =>
    `From ${traces} probe ${part}: it heats ${decimal} % (± ${decimal2}) of an ordinary one; the fit misses by ${decimal3}°.`,
  forgetIt: 'Delete it',
  computedToHeatToIn: (temperature: string, honestTime: string) =>
    `Calculated to heat to ${temperature} in ${honestTime}.`,
} as const;
