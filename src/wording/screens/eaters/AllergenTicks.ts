/** What the screen says. */
export const words = {
  gluten: 'Gluten',
} as const;
