/** What the screen says. */
export const words = {
  atTemperature: (temperature: string) => ` at ${temperature}`,
  offAt: (off: string, temperature: string) => `${off} at ${temperature}`,
  notKnownTakenAsRight: (give: string) => `not known: taken as right, give or take ${give}°`,
  itsDialIsOffBy: 'Its dial is off by',
  trace: 'trace',
  traces: 'traces',
  fromProbeItHeatsOf: (traces: number, traceWord: string, pace: string, spread: string, off: string) =>
    `From ${traces} probe ${traceWord}: it heats ${pace} % (± ${spread}) of an ordinary one; the fit misses by ${off}°.`,
  deleteIt: 'Delete it',
  calculatedToHeat: (temperature: string, honestTime: string) =>
    `Calculated to heat to ${temperature} in ${honestTime}.`,
} as const;
