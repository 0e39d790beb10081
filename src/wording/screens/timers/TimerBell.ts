/** What the screen says. */
export const words = {
  timeIsUp: (part: string) => `Time is up: ${part}`,
  ago: (bakeName: string, formatClock: string) => `${bakeName}, ${formatClock} ago`,
  goToIt: 'Go to it',
  seen: 'Dismiss',
} as const;
