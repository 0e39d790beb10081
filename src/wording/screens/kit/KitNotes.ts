/** What the screen says. */
export const words = {
  title: 'Good to know',
  example: 'The mill, the sieves, which shelf burns …',
} as const;
