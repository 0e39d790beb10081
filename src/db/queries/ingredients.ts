import * as z from 'zod';
import { KITCHEN_ENTRY } from '@/core/documents';
import type { StoredEntry } from '@/core/ingredients';
import type { KitchenEntry } from '@/core/ingredients/kitchenEntrySchema';
import { documentColumns, many, one, only, sift, type Queryable, type Sifted } from '../rows';

const entryRow = z.object({
  id: z.string(),
  version: z.number().int(),
  away: z.boolean(),
  ...documentColumns,
});

const COLUMNS = 'id, version, away, entry as document, schema_version as "schemaVersion"';
const read = (rows: readonly z.infer<typeof entryRow>[]): Sifted<StoredEntry> =>
  sift(
    rows,
    KITCHEN_ENTRY,
    ({ id }) => id,
    ({ id, version, away }, entry) => ({ id, version, away, entry }),
  );

/** The newest version of each of a kitchen's entries, oldest entry first. */
export const siftEntries = async (db: Queryable, kitchenId: string): Promise<Sifted<StoredEntry>> =>
  read(
    await many(
      db,
      {
        name: 'ingredient-list',
        text: `select ${COLUMNS} from (
                 select distinct on (id) id, version, away, entry, schema_version,
                   min(saved_at) over (partition by id) as first_saved
                 from kitchen_ingredient where kitchen_id = $1 order by id, version desc) newest
               order by first_saved, id`,
        row: entryRow,
      },
      [kitchenId],
    ),
  );

/** Those that can be read. */
export const listEntries = async (db: Queryable, kitchenId: string): Promise<StoredEntry[]> =>
  (await siftEntries(db, kitchenId)).rows;

/** The number of the newest version of an entry, readable or not; 0 where there is none. */
export const newestEntryVersion = async (db: Queryable, kitchenId: string, id: string): Promise<number> =>
  (
    await one(
      db,
      {
        text: 'select coalesce(max(version), 0) as version from kitchen_ingredient where kitchen_id = $1 and id = $2',
        row: z.object({ version: z.number().int() }),
      },
      [kitchenId, id],
    )
  ).version;

/** What an earlier sending of the same request saved, if it did. */
export const findEntryByRequest = async (db: Queryable, kitchenId: string, requestId: string) =>
  only(
    read(
      await many(
        db,
        {
          text: `select ${COLUMNS} from kitchen_ingredient where kitchen_id = $1 and request_id = $2`,
          row: entryRow,
        },
        [kitchenId, requestId],
      ),
    ),
  );

export interface NewEntry {
  readonly kitchenId: string;
  readonly version: number;
  readonly requestId: string;
  readonly entry: KitchenEntry;
  readonly away: boolean;
  readonly savedAt: Date;
}

export async function insertEntry(
  db: Queryable,
  { kitchenId, version, requestId, entry, away, savedAt }: NewEntry,
): Promise<StoredEntry> {
  await one(
    db,
    {
      text: `insert into kitchen_ingredient (kitchen_id, id, version, request_id, entry, away, saved_at, schema_version)
             values ($1, $2, $3, $4, $5, $6, $7, $8) returning id`,
      row: z.object({ id: z.string() }),
    },
    [kitchenId, entry.id, version, requestId, JSON.stringify(entry), away, savedAt, KITCHEN_ENTRY.version],
  );
  return { id: entry.id, version, away, entry };
}

/**
 * Writers of one kitchen's entries wait for one another: a blend is checked against what the others just saved. Not a full update lock:
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
