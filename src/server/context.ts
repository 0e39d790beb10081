import { randomUUID } from 'node:crypto';
import type pg from 'pg';
import { libraryBook, type IngredientBook } from '@/core/ingredients';
import { pool } from '@/db/pool';
import { firstKitchen, type KitchenRow } from '@/db/queries/kitchens';

/** What every use case works with; tests hand in their own database and clock. */
export interface Context {
  readonly pool: pg.Pool;
  readonly kitchen: KitchenRow;
  readonly book: IngredientBook;
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

export async function currentContext(): Promise<Context> {
  return {
    pool: pool(),
    kitchen: await currentKitchen(),
    book: libraryBook,
    now: () => new Date(),
    newId: randomUUID,
  };
}
