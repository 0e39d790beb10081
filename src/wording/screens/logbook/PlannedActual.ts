/** What the screen says. */
export const words = {
  ingredient: 'Ingredient',
  planned: 'planned',
  weighed: 'weighed',
  off: 'off',
  notTicked: 'not ticked',
  extra: (time: string, note: string) => `extra, ${time}${note}`,
} as const;
