'use client';
import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { patiently } from '@/ui/patiently';
import type { Ingredient, IngredientBook, StoredEntry } from '@/core/ingredients';

interface BookValue {
  readonly book: IngredientBook;
  /** What the kitchen itself put into the book. */
  readonly stored: readonly StoredEntry[];
  /** Put away: known to the formulas that use them, but no longer offered. */
  readonly away: ReadonlySet<string>;
}

const loadWholeBook = patiently(() => import('./wholeBook'));

const Context = createContext<BookValue | null>(null);

/**
 * The ingredients at hand on a page: at first those it holds, sent along by the server; then the whole library with the kitchen's own laid
 * over it, whose code is fetched when the page stands.
 */
export function BookProvider({
  stored,
  seed,
  children,
}: {
  stored: readonly StoredEntry[];
  seed: readonly Ingredient[];
  children: ReactNode;
}) {
  const [whole, setWhole] = useState<IngredientBook | null>(null);
  useEffect(() => {
    let gone = false;
    void loadWholeBook().then(({ wholeBook }) => !gone && setWhole(wholeBook(stored)));
    return () => {
      gone = true;
    };
  }, [stored]);
  const value = useMemo((): BookValue => {
    const away = stored.filter((each) => each.away && each.entry.kind !== 'bag').map(({ id }) => id);
    const sent = new Map(seed.map((ingredient) => [ingredient.id, ingredient]));
    return { book: whole ?? sent, stored, away: new Set(away) };
  }, [seed, stored, whole]);
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
