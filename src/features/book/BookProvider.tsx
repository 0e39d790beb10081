'use client';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { kitchenBook, libraryBook, type IngredientBook, type KeptIngredient } from '@/core/ingredients';

interface BookValue {
  readonly book: IngredientBook;
  /** What the kitchen itself put into the book. */
  readonly kept: readonly KeptIngredient[];
  /** Put away: known to the formulas that use them, but no longer offered. */
  readonly away: ReadonlySet<string>;
}

const Context = createContext<BookValue | null>(null);

/** The ingredients at hand on every page: the library with the kitchen's own laid over it. */
export function BookProvider({ kept, children }: { kept: readonly KeptIngredient[]; children: ReactNode }) {
  const value = useMemo((): BookValue => {
    const laid = kitchenBook(kept);
    const away = kept.filter((each) => each.away && each.entry.kind !== 'bag').map(({ id }) => id);
    return { book: laid.ok ? laid.value : libraryBook, kept, away: new Set(away) };
  }, [kept]);
  return <Context value={value}>{children}</Context>;
}

function useBookValue(): BookValue {
  const value = useContext(Context);
  if (!value) throw new Error('useBook needs a BookProvider above it');
  return value;
}

export const useBook = (): IngredientBook => useBookValue().book;
export const useKeptIngredients = (): Omit<BookValue, 'book'> => useBookValue();

/** The name of an ingredient, or its id where the book does not know it. */
export function useNameOf(): (ingredientId: string) => string {
  const book = useBook();
  return useMemo(() => (id: string) => book.get(id)?.name ?? id, [book]);
}
