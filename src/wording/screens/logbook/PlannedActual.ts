/** What the screen says. */
export const words = {
  ingredient: 'Ingredient',
  planned: 'planned',
  weighed: 'weighed',
  off: 'off',
  notTicked: 'not ticked',
  extra: (atMs: string, part: string) => `extra, ${atMs}${part}`,
} as const;
