'use client';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { kitchenBook, libraryBook, type IngredientBook, type StoredEntry } from '@/core/ingredients';

interface BookValue {
  readonly book: IngredientBook;
  /** What the kitchen itself put into the book. */
  readonly stored: readonly StoredEntry[];
  /** Put away: known to the formulas that use them, but no longer offered. */
  readonly away: ReadonlySet<string>;
}

const Context = createContext<BookValue | null>(null);

/** The ingredients at hand on every page: the library with the kitchen's own laid over it. */
export function BookProvider({ stored, children }: { stored: readonly StoredEntry[]; children: ReactNode }) {
  const value = useMemo((): BookValue => {
    const merged = kitchenBook(stored);
    const away = stored.filter((each) => each.away && each.entry.kind !== 'bag').map(({ id }) => id);
    return { book: merged.ok ? merged.value : libraryBook, stored, away: new Set(away) };
  }, [stored]);
  return <Context value={value}>{children}</Context>;
}

function useBookValue(): BookValue {
  const value = useContext(Context);
  if (!value) throw new Error('useBook needs a BookProvider above it');
  return value;
}

export const useBook = (): IngredientBook => useBookValue().book;
export const useStoredEntries = (): Omit<BookValue, 'book'> => useBookValue();

/** The name of an ingredient, or its id where the book does not know it. */
export function useNameOf(): (ingredientId: string) => string {
  const book = useBook();
  return useMemo(() => (id: string) => book.get(id)?.name ?? id, [book]);
}
