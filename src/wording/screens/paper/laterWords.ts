/** What the screen says. */
export const words = {
  atHeat: (heat: string) => `at ${heat}`,
} as const;
