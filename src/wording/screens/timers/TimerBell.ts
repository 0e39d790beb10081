/** What the screen says. */
export const words = {
  timeIsUp: (timers: string) => `Time is up: ${timers}`,
  ago: (bakeName: string, formatClock: string) => `${bakeName}, ${formatClock} ago`,
  goToIt: 'Go to it',
  dismiss: 'Dismiss',
} as const;
