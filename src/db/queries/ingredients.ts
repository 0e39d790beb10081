import * as z from 'zod';
import { kitchenEntrySchema, type KitchenEntry } from '@/core/ingredients/kitchenEntrySchema';
import { many, maybeOne, one, type Queryable } from '../rows';

const entryRow = z.object({
  id: z.string(),
  version: z.number().int(),
  away: z.boolean(),
  entry: kitchenEntrySchema,
});

/** The newest version of each of a kitchen's entries, oldest entry first. */
export const listEntries = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      name: 'ingredient-list',
      text: `select id, version, away, entry from (
               select distinct on (id) id, version, away, entry,
                 min(saved_at) over (partition by id) as first_saved
               from kitchen_ingredient where kitchen_id = $1 order by id, version desc) newest
             order by first_saved, id`,
      row: entryRow,
    },
    [kitchenId],
  );

/** What an earlier sending of the same request kept, if it did. */
export const findEntryByRequest = (db: Queryable, kitchenId: string, requestId: string) =>
  maybeOne(
    db,
    {
      text: 'select id, version, away, entry from kitchen_ingredient where kitchen_id = $1 and request_id = $2',
      row: entryRow,
    },
    [kitchenId, requestId],
  );

export interface NewEntry {
  readonly kitchenId: string;
  readonly version: number;
  readonly requestId: string;
  readonly entry: KitchenEntry;
  readonly away: boolean;
  readonly savedAt: Date;
}

export const insertEntry = (
  db: Queryable,
  { kitchenId, version, requestId, entry, away, savedAt }: NewEntry,
) =>
  one(
    db,
    {
      text: `insert into kitchen_ingredient (kitchen_id, id, version, request_id, entry, away, saved_at, schema_version)
             values ($1, $2, $3, $4, $5, $6, $7, 1) returning id, version, away, entry`,
      row: entryRow,
    },
    [kitchenId, entry.id, version, requestId, JSON.stringify(entry), away, savedAt],
  );

/**
 * Writers of one kitchen's entries wait for one another: a blend is checked against what the others just kept. Not a full update lock:
 * that would hold up every save of a formula, which refers to its kitchen.
 */
export const lockEntries = (db: Queryable, kitchenId: string) =>
  one(
    db,
    {
      text: 'select id from kitchen where id = $1 for no key update',
      row: z.object({ id: z.uuid() }),
    },
    [kitchenId],
  );
