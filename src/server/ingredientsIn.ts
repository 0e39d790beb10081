import { sparingBook, type Ingredient, type StoredEntry } from '@/core/ingredients';

/** Every ingredient that is named somewhere in a document, and what those are made of; 'everything': the whole book. */
export function ingredientsIn(document: unknown, stored: readonly StoredEntry[]): Ingredient[] {
  const { book } = sparingBook(stored);
  if (document === 'everything') return [...book.values()];
  const found = new Map<string, Ingredient>();
  const take = (id: unknown): void => {
    const ingredient = typeof id === 'string' ? book.get(id) : undefined;
    if (!ingredient || found.has(ingredient.id)) return;
    found.set(ingredient.id, ingredient);
    ingredient.madeOf?.forEach((part) => take(part.ingredientId));
  };
  const walk = (value: unknown): void => {
    if (Array.isArray(value)) return value.forEach(walk);
    if (typeof value !== 'object' || value === null) return;
    for (const [key, inner] of Object.entries(value)) {
      if (key === 'ingredientId') take(inner);
      else if (key === 'ingredientIds' && Array.isArray(inner)) inner.forEach(take);
      else walk(inner);
    }
  };
  walk(document);
  return [...found.values()];
}
