/** What the screen says. */
export const words = {
  cameIn: (ingredientId: string, massG: string) => `${ingredientId} added: ${massG}`,
  wentOut: (ingredientId: string, massG: string) => `${ingredientId} removed: ${massG}`,
  changed: (changed: number) => `${changed} changed`,
  newWord: (added: number) => `${added} new`,
  gone: (removed: number) => `${removed} removed`,
  anotherOrder: 'another order',
  orderNotesOrUsualYield: 'Order, notes or usual yield',
  noDifference: 'No difference.',
  name: (from: string, to: string) => `Name: ${from} → ${to}`,
  method: (what: string) => `Method: ${what}`,
} as const;
