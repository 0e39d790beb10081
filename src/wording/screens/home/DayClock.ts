/** What the screen says. */
export const words = {
  onTheClock: 'On the clock',
  ready: (at: string) => `ready ${at}`,
  bar: (what: string, of: string, at: string) => `${at} ${what}, ${of}`,
  heats: (oven: string, at: string) => `${at} ${oven} heats`,
} as const;
