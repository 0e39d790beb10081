import * as z from 'zod';
import { DAY, KIT, LIFE, ORDERS, STARTERS, type DocumentKind, type SetAside } from '@/core/documents';
import { documentColumns, many, one, only, sift, type Queryable } from '../rows';

/** A table that holds one document of each kitchen, in versions that are never rewritten. */
export interface VersionStore<T> {
  readonly table: 'kitchen_kit' | 'kitchen_day' | 'kitchen_life' | 'kitchen_starters' | 'kitchen_orders';
  readonly column: 'kit' | 'day' | 'life' | 'starters' | 'orders';
  readonly kind: DocumentKind<T>;
}
const store = <T>(column: VersionStore<T>['column'], kind: DocumentKind<T>): VersionStore<T> => ({
  table: `kitchen_${column}`,
  column,
  kind,
});
export const KITS = store('kit', KIT);
export const DAYS = store('day', DAY);
export const LIVES = store('life', LIFE);
export const STARTER_SHELF = store('starters', STARTERS);
export const ORDER_BOOK = store('orders', ORDERS);

const versionRow = z.object({ version: z.number().int(), ...documentColumns });
type VersionRow = z.infer<typeof versionRow>;

export interface Version<T> {
  readonly version: number;
  readonly value: T;
}

const columnsOf = ({ column }: VersionStore<unknown>) =>
  `version, ${column} as document, schema_version as "schemaVersion"`;
const read = <T>({ kind }: VersionStore<T>, rows: readonly VersionRow[], kitchenId: string) =>
  sift(
    rows,
    kind,
    () => kitchenId,
    ({ version }, value): Version<T> => ({ version, value }),
  );

/** How many versions are gone back for one that can be read. */
const LOOK_BACK = 5;

/**
 * The newest version of a kitchen's document, null where nobody has said anything yet. Where that one cannot be read, the newest that can
 * stands in for it, under the number of the newest: what is saved next comes after it.
 */
export async function newestVersion<T>(
  db: Queryable,
  from: VersionStore<T>,
  kitchenId: string,
): Promise<{ newest: Version<T> | null; setAside: SetAside | null; version: number }> {
  const rows = await many(
    db,
    {
      name: `${from.column}-newest`,
      text: `select ${columnsOf(from)} from ${from.table} where kitchen_id = $1 order by version desc limit ${LOOK_BACK}`,
      row: versionRow,
    },
    [kitchenId],
  );
  const version = rows[0]?.version ?? 0;
  const sifted = read(from, rows, kitchenId);
  const [newest] = sifted.rows;
  return {
    newest: newest ? { version, value: newest.value } : null,
    setAside: newest?.version === version ? null : (sifted.setAside[0] ?? null),
    version,
  };
}

/** What an earlier sending of the same request saved, if it did. */
export const findVersionByRequest = async <T>(
  db: Queryable,
  from: VersionStore<T>,
  kitchenId: string,
  requestId: string,
): Promise<Version<T> | null> =>
  only(
    read(
      from,
      await many(
        db,
        {
          text: `select ${columnsOf(from)} from ${from.table} where kitchen_id = $1 and request_id = $2`,
          row: versionRow,
        },
        [kitchenId, requestId],
      ),
      kitchenId,
    ),
  );

export interface NewVersion<T> {
  readonly kitchenId: string;
  readonly version: number;
  readonly requestId: string;
  readonly value: T;
  readonly savedAt: Date;
}

/** Fails on the key when somebody else saved this version first. */
export async function insertVersion<T>(
  db: Queryable,
  { table, column, kind }: VersionStore<T>,
  { kitchenId, version, requestId, value, savedAt }: NewVersion<T>,
): Promise<Version<T>> {
  await one(
    db,
    {
      text: `insert into ${table} (kitchen_id, version, request_id, ${column}, saved_at, schema_version)
             values ($1, $2, $3, $4, $5, $6) returning version`,
      row: z.object({ version: z.number().int() }),
    },
    [kitchenId, version, requestId, JSON.stringify(value), savedAt, kind.version],
  );
  return { version, value };
}
