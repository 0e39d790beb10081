import { kitchenBook, libraryBook, type IngredientBook, type StoredEntry } from '@/core/ingredients';

/** The library with the kitchen's own over it; the library alone where that does not hold together. */
export function wholeBook(stored: readonly StoredEntry[]): IngredientBook {
  const merged = kitchenBook(stored);
  return merged.ok ? merged.value : libraryBook;
}
