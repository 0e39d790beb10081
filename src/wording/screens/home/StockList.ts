/** What the screen says. */
export const words = {
  putBy: 'Put by',
  best: (day: string) => `best until ${day}`,
  wasBest: (day: string) => `was best until ${day}`,
} as const;
