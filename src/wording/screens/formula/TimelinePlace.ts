/** What the screen says. */
export const words = {
  timeline: 'Timeline',
  computingRiseAndBake: 'Calculating rise and bake …',
} as const;
