/** What the screen says. */
export const words = {
  timeline: 'Timeline',
  calculatingRiseAndBake: 'Calculating rise and bake …',
} as const;
