/** What the screen says. */
export const words = {
  changesTo: (name: string) => `Changes to “${name}”`,
} as const;
