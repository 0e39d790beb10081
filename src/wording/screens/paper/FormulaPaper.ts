/** What the screen says. */
export const words = {
  makes: (pieces: string) => `Makes ${pieces}.`,
  pieces: (count: number, mass: string, dough = true) => `${count} × ${mass}${dough ? ' of dough' : ''}`,
  heldBack: 'only if the dough asks for it',
  ingredient: 'Ingredient',
  weight: 'Weight',
  percent: 'Percent of the flours',
} as const;
