/** What the screen says. */
export const words = {
  areTheMostRemoveOne: (each: number) =>
    `${each} are the most. Remove one that is no longer used to add another.`,
} as const;
