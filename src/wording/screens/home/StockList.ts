/** What the screen says. */
export const words = {
  ontoTheDay: 'Ready at',
  putBy: 'Put by',
  readyAfter: (time: string) => `, ready ${time} after it is taken out`,
  best: (day: string) => `best until ${day}`,
  wasBest: (day: string) => `was best until ${day}`,
} as const;
