import { randomUUID } from 'node:crypto';
import type pg from 'pg';
import { kitchenBook, type IngredientBook, type KeptIngredient } from '@/core/ingredients';
import { pool } from '@/db/pool';
import { listEntries } from '@/db/queries/ingredients';
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

const holder = globalThis as typeof globalThis & { crumbKitchen?: KitchenRow };

/**
 * The one place that says which kitchen is current. There are no accounts yet, so it is the only one there is, and it
 * cannot change while the server runs: remembered after the first look.
 */
async function currentKitchen(): Promise<KitchenRow> {
  if (!holder.crumbKitchen) {
    const kitchen = await firstKitchen(pool());
    if (!kitchen)
      throw new Error('There is no kitchen in this database; start the application with ./crumb start');
    holder.crumbKitchen = kitchen;
  }
  return holder.crumbKitchen;
}

/** What is kept always makes a book: each entry was checked against the others when it was saved. */
function bookFrom(entries: readonly KeptIngredient[]): IngredientBook {
  const laid = kitchenBook(entries);
  if (!laid.ok) throw new Error(`The kept ingredients do not make a book: ${JSON.stringify(laid.problem)}`);
  return laid.value;
}

export function bookOf(db: pg.Pool, kitchenId: string): () => Promise<IngredientBook> {
  let book: Promise<IngredientBook> | null = null;
  return () => (book ??= listEntries(db, kitchenId).then(bookFrom));
}

export async function currentContext(): Promise<Context> {
  const kitchen = await currentKitchen();
  return {
    pool: pool(),
    kitchen,
    book: bookOf(pool(), kitchen.id),
    now: () => new Date(),
    newId: randomUUID,
  };
}
