/** What the screen says. */
export const words = {
  ingredient: 'Ingredient',
  planned: 'planned',
  weighed: 'weighed',
  off: 'off',
  notTicked: 'not ticked',
  then: (mass: string) => `then ${mass}`,
  leftOut: 'left out',
  onlyPart: (mass: string) => `${mass}, a part`,
  heldBack: 'held back',
  anotherDay: 'for another day',
  part: (at: number, of: number) => `(part ${at} of ${of})`,
  onTheBench: 'on the board: about half counts',
  extra: (time: string, note: string) => `extra, ${time}${note}`,
} as const;
