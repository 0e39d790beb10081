import { randomUUID } from 'node:crypto';
import type pg from 'pg';
import { sparingBook, type IngredientBook } from '@/core/ingredients';
import { pool } from '@/db/pool';
import { listEntries } from '@/db/queries/ingredients';
import { kitchenClock } from './clock';
import { firstKitchen, type KitchenRow } from '@/db/queries/kitchens';

/** What every use case works with; tests hand in their own database and clock. */
export interface Context {
  readonly pool: pg.Pool;
  readonly kitchen: KitchenRow;
  /** The library with this kitchen's own ingredients, asked of the database when first needed. */
  readonly book: () => Promise<IngredientBook>;
  readonly now: () => Date;
  readonly newId: () => string;
}

/**
 * The one place that says which kitchen is current. There are no accounts yet, so it is the only one there is. Asked anew each time:
 * a backup may have been restored meanwhile, and nothing of the kitchen before may be taken for this one.
 */
async function currentKitchen(): Promise<KitchenRow> {
  const kitchen = await firstKitchen(pool());
  if (!kitchen)
    throw new Error('There is no kitchen in this database; start the application with ./crumb start');
  return kitchen;
}

export function bookOf(db: pg.Pool, kitchenId: string): () => Promise<IngredientBook> {
  let book: Promise<IngredientBook> | null = null;
  return () => (book ??= listEntries(db, kitchenId).then((kept) => sparingBook(kept).book));
}

export async function currentContext(): Promise<Context> {
  const kitchen = await currentKitchen();
  return {
    pool: pool(),
    kitchen,
    book: bookOf(pool(), kitchen.id),
    now: () => new Date(kitchenClock().nowMs()),
    newId: randomUUID,
  };
}
