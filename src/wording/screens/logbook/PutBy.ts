/** What the screen says. */
export const words = {
  putBy: 'Put by',
  leftOf: (made: number, name: string, as: string) => `of ${made} left: ${name}, ${as}`,
  goodUntil: (day: string) => `best until ${day}`,
  pastItsTime: (day: string) => `was best until ${day}: look, smell, and when in doubt leave it`,
  oneOut: 'One out',
  allOut: 'All out',
  oneBack: 'One back',
  localRules: 'For taste, not for safety: what may be sold, and for how long, your local rules say.',
} as const;
