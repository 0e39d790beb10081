/** What the screen says. */
export const words = {
  putBy: 'Put by',
  leftOf: (made: number, name: string, as: string) => `of ${made} left: ${name}, ${as}`,
  restOf: (name: string, place: string) => `of ${name} left over, ${place},`,
  enoughFor: (pieces: number) =>
    pieces < 1 ? 'less than a piece takes' : `for ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`,
  takenOutNow: (clock: string) => `Taken out now, ready about ${clock}:`,
  inAll: (time: string) => `${time} in all.`,
  until: (cue: string) => `until ${cue}`,
  then: (lines: string) => `Of what this batch planned for then: ${lines}.`,
  goodUntil: (day: string) => `best until ${day}`,
  pastItsTime: (day: string) => `was best until ${day}: look, smell, and when in doubt leave it`,
  oneOut: 'One out',
  allOut: 'All out',
  oneBack: 'One back',
  localRules: 'For taste, not for safety: what may be sold, and for how long, your local rules say.',
} as const;
