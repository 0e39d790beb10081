import { ok, type Result } from '../result';
import { libraryBook, type IngredientBook } from './ingredientBook';
import type { KitchenEntry } from './kitchenEntrySchema';
import { layOver } from './layOver';

/** A kitchen's entry as it is kept. Put away, it is no longer offered, but the formulas that use it still know it. */
export interface KeptIngredient {
  readonly id: string;
  readonly version: number;
  readonly away: boolean;
  readonly entry: KitchenEntry;
}

/**
 * The same, whatever is wrong with single entries: one that does not fit (a blend of something that could not be read) is left out,
 * and with it what is made of it, until the rest makes a book.
 */
export function sparingBook(kept: readonly KeptIngredient[]): {
  readonly book: IngredientBook;
  readonly leftOut: readonly KeptIngredient[];
} {
  let rest = kept.filter(({ away, entry }) => !away || entry.kind !== 'bag');
  const leftOut: KeptIngredient[] = [];
  for (;;) {
    const laid = kitchenBook(rest);
    if (laid.ok) return { book: laid.value, leftOut };
    const at = Number(laid.problem.path.split('.')[0]);
    const bad = rest[at] ?? rest[0];
    if (!bad) return { book: libraryBook, leftOut };
    leftOut.push(bad);
    rest = rest.filter((each) => each !== bad);
  }
}

/** The library with a kitchen's entries over it. A bag that was put away leaves the library's figures standing. */
export const kitchenBook = (kept: readonly KeptIngredient[]): Result<IngredientBook> =>
  kept.length === 0
    ? ok(libraryBook)
    : layOver(
        libraryBook,
        kept.filter(({ away, entry }) => !away || entry.kind !== 'bag').map(({ entry }) => entry),
      );
