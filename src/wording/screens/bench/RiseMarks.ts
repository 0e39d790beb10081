/** What the screen says. */
export const words = {
  markTheRise: 'Mark the rise',
  undoTheLastOne: ' undo the last one',
} as const;
