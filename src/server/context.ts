import type pg from 'pg';
import type { IngredientBook } from '@/core/ingredients';
import { larderOf, type Larder } from './larder';
import type { KitchenRow } from '@/db/queries/kitchens';

/** What every use case works with; tests hand in their own database and clock. */
export interface Context {
  readonly pool: pg.Pool;
  readonly kitchen: KitchenRow;
  /** What this kitchen has of its own in the book, asked of the database when first needed. */
  readonly larder: () => Promise<Larder>;
  /** The library with this kitchen's own ingredients. */
  readonly book: () => Promise<IngredientBook>;
  readonly now: () => Date;
  readonly newId: () => string;
  /** Does what nobody waits for once the answer has been given. */
  readonly afterwards: (work: () => Promise<void>) => void;
}

/** A context in a kitchen; tests hand in their own clock. */
export function contextIn(
  db: pg.Pool,
  kitchen: KitchenRow,
  { now, newId, afterwards }: Pick<Context, 'now' | 'newId' | 'afterwards'>,
): Context {
  const larder = larderOf(db, kitchen);
  return { pool: db, kitchen, larder, book: async () => (await larder()).book, now, newId, afterwards };
}
