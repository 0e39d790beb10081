/** What the screen says. */
export const words = {
  lots: 'Lots',
  lotOf: (name: string) => `Lot of ${name}`,
  noneToldApart: 'none told apart',
} as const;
