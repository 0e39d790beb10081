/** What the screen says. */
export const words = {
  thisPageCannotBeShown: 'This page cannot be shown',
  toToday: 'To Today',
} as const;
