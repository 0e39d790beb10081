/** What the screen says. */
export const words = {
  giveItAName: 'Give it a name.',
  nameOf: (name: string) => `Name of ${name}`,
  kindOf: (name: string) => `Kind of ${name}`,
  yesRemove: (name: string) => `Yes, remove ${name}`,
  remove: (name: string) => `Remove ${name}`,
} as const;
