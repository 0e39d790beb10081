/** What the screen says. */
export const words = {
  added: (name: string, mass: string) => `${name} added: ${mass}`,
  removed: (name: string, mass: string) => `${name} removed: ${mass}`,
  changed: (count: number) => `${count} changed`,
  newWord: (count: number) => `${count} new`,
  stepsRemoved: (count: number) => `${count} removed`,
  anotherOrder: 'another order',
  orderNotesOrUsualYield: 'Order, notes or usual yield',
  noDifference: 'No difference.',
  name: (from: string, to: string) => `Name: ${from} → ${to}`,
  method: (what: string) => `Method: ${what}`,
} as const;
