/** What the screen says. */
export const words = {
  theOven: 'the oven',
  nowDo: (what: string) => `Now: ${what}`,
  more: (count: number) => `and ${count} more`,
  timeIsUp: (timers: string) => `Time is up: ${timers}`,
  soon: (timer: string) => `In two minutes: ${timer}`,
  title: (timer: string) => `(!) ${timer}`,
  ago: (bakeName: string, formatClock: string) => `${bakeName}, ${formatClock} ago`,
  missed: (by: string) => `Nobody was called: this device noticed ${by} late.`,
  goToIt: 'Go to it',
  dismiss: 'Heard',
  stopRinging: 'Heard: stop ringing',
  silent: 'Touch the page once, so that it can ring.',
} as const;
