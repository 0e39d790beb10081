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

/** The library with a kitchen's entries over it. A bag that was put away leaves the library's figures standing. */
export const kitchenBook = (kept: readonly KeptIngredient[]): Result<IngredientBook> =>
  kept.length === 0
    ? ok(libraryBook)
    : layOver(
        libraryBook,
        kept.filter(({ away, entry }) => !away || entry.kind !== 'bag').map(({ entry }) => entry),
      );
