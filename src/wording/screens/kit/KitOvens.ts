/** What the screen says. */
export const words = {
  anotherOven: 'Another oven',
  ovens: 'Ovens',
} as const;
