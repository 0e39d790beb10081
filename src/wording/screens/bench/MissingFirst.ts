/** What the screen says. */
export const words = {
  title: 'Not in yet',
  one: (name: string, mass: string) => `${name} ${mass}`,
  weigh: 'Weigh it now',
  isIn: 'It is in, not weighed',
  leaveOut: 'It stays out',
} as const;
