/** What the screen says. */
export const words = {
  changesToTheKit: 'Changes to the equipment',
} as const;
