/** What the screen says. */
export const words = {
  scaleThatTells: 'The scale at hand',
} as const;
