import { ok, type Result } from '../result';
import type { IngredientBook } from './ingredientBook';
import { libraryBook } from './libraryBook';
import type { KitchenEntry } from './kitchenEntrySchema';
import { bookWith } from './bookWith';

/** A kitchen's entry as it is saved. Put away, it is no longer offered, but the formulas that use it still know it. */
export interface StoredEntry {
  readonly id: string;
  readonly version: number;
  readonly away: boolean;
  readonly entry: KitchenEntry;
}

/**
 * What of the stored entries lies over the library: a bag that was put away changes nothing any more; an ingredient of one's own is still
 * known to what uses it, and so is a lot, which is no longer in use.
 */
export const inForce = (stored: readonly Pick<StoredEntry, 'away' | 'entry'>[]): KitchenEntry[] =>
  stored.flatMap(({ away, entry }) => {
    if (!away) return [entry];
    if (entry.kind === 'bag') return [];
    return entry.kind === 'lot' ? [{ ...entry, open: false }] : [entry];
  });

/**
 * The same, whatever is wrong with single entries: one that does not fit (a blend of something that could not be read) is left out,
 * and with it what is made of it, until the rest makes a book.
 */
export function sparingBook(stored: readonly StoredEntry[]): {
  readonly book: IngredientBook;
  readonly leftOut: readonly StoredEntry[];
} {
  let rest = stored.filter(({ away, entry }) => !away || entry.kind !== 'bag');
  const leftOut: StoredEntry[] = [];
  for (;;) {
    const merged = kitchenBook(rest);
    if (merged.ok) return { book: merged.value, leftOut };
    const at = Number(merged.problem.path.split('.')[0]);
    const bad = rest[at] ?? rest[0];
    if (!bad) return { book: libraryBook, leftOut };
    leftOut.push(bad);
    rest = rest.filter((each) => each !== bad);
  }
}

/** The library with a kitchen's entries over it. A bag that was put away leaves the library's figures standing. */
export const kitchenBook = (stored: readonly StoredEntry[]): Result<IngredientBook> =>
  stored.length === 0 ? ok(libraryBook) : bookWith(libraryBook, inForce(stored));
