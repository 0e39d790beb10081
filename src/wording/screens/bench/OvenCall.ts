/** What the screen says. */
export const words = {
  theOven: 'the oven',
  now: (call: string) => `Now: ${call}`,
  hotBy: (hot: string, wanted: string) => (hot === wanted ? `hot at ${hot}, when it is wanted` : `hot at ${hot}; wanted at ${wanted}`),
  itIsOn: 'It is on',
} as const; // prettier-ignore
