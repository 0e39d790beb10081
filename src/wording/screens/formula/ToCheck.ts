/** What the screen says. */
export const words = {
  oneThingToCheck: 'One thing to check',
  thingsToCheck: (grave: number) => `${grave} things to check`,
} as const;
