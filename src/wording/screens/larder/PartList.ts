/** What the screen says. */
export const words = {
  of: (amountWord: string, ingredientId: string) => `${amountWord} of ${ingredientId}`,
  oneUp: (ingredientId: string) => `${ingredientId} one up`,
  remove: (name: string) => `Remove ${name}`,
  addAnIngredient: 'Add an ingredient',
  addToIt: 'Add to it',
} as const;
