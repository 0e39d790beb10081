/** What the screen says. */
export const words = {
  of: (amountWord: string, ingredientId: string) => `${amountWord} of ${ingredientId}`,
  oneUp: (ingredientId: string) => `${ingredientId} one up`,
  takeOut: (ingredientId: string) => `Remove ${ingredientId}`,
  addAnIngredient: 'Add an ingredient',
  addToIt: 'Add to it',
} as const;
