/** What the screen says. */
export const words = {
  markTheRise: 'Mark the rise',
  takeTheLastBack: ' undo the last one',
} as const;
