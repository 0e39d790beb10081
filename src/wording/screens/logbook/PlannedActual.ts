/** What the screen says. */
export const words = {
  ingredient: 'Ingredient',
  planned: 'planned',
  weighed: 'weighed',
  off: 'off',
  notTicked: 'not ticked',
  heldBack: 'held back',
  anotherDay: 'for another day',
  part: (at: number, of: number) => `(part ${at} of ${of})`,
  extra: (time: string, note: string) => `extra, ${time}${note}`,
} as const;
