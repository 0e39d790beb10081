import * as z from 'zod';
import { KIT, type SetAside } from '@/core/documents';
import type { Kit } from '@/core/kit/kitSchema';
import { documentColumns, many, one, only, sift, type Queryable } from '../rows';

const kitRow = z.object({ version: z.number().int(), ...documentColumns });
type KitRow = z.infer<typeof kitRow>;

export interface KitVersion {
  readonly version: number;
  readonly kit: Kit;
}

const COLUMNS = 'version, kit as document, schema_version as "schemaVersion"';
const read = (rows: readonly KitRow[], kitchenId: string) =>
  sift(
    rows,
    KIT,
    () => kitchenId,
    ({ version }, kit): KitVersion => ({ version, kit }),
  );

/** How many versions are gone back for one that can be read. */
const LOOK_BACK = 5;

/**
 * The newest version of a kitchen's kit, null where nobody has said anything yet. Where that one cannot be read, the newest that can
 * stands in for it, under the number of the newest: what is saved next comes after it.
 */
export async function newestKit(
  db: Queryable,
  kitchenId: string,
): Promise<{ newest: KitVersion | null; setAside: SetAside | null; version: number }> {
  const rows = await many(
    db,
    {
      name: 'kit-newest',
      text: `select ${COLUMNS} from kitchen_kit where kitchen_id = $1 order by version desc limit ${LOOK_BACK}`,
      row: kitRow,
    },
    [kitchenId],
  );
  const version = rows[0]?.version ?? 0;
  const sifted = read(rows, kitchenId);
  const [newest] = sifted.rows;
  return {
    newest: newest ? { version, kit: newest.kit } : null,
    setAside: newest?.version === version ? null : (sifted.setAside[0] ?? null),
    version,
  };
}

/** What an earlier sending of the same request saved, if it did. */
export const findKitByRequest = async (db: Queryable, kitchenId: string, requestId: string) =>
  only(
    read(
      await many(
        db,
        { text: `select ${COLUMNS} from kitchen_kit where kitchen_id = $1 and request_id = $2`, row: kitRow },
        [kitchenId, requestId],
      ),
      kitchenId,
    ),
  );

export interface NewKit {
  readonly kitchenId: string;
  readonly version: number;
  readonly requestId: string;
  readonly kit: Kit;
  readonly savedAt: Date;
}

/** Fails on the key when somebody else saved this version first. */
export async function insertKit(
  db: Queryable,
  { kitchenId, version, requestId, kit, savedAt }: NewKit,
): Promise<KitVersion> {
  await one(
    db,
    {
      text: `insert into kitchen_kit (kitchen_id, version, request_id, kit, saved_at, schema_version)
             values ($1, $2, $3, $4, $5, $6) returning version`,
      row: z.object({ version: z.number().int() }),
    },
    [kitchenId, version, requestId, JSON.stringify(kit), savedAt, KIT.version],
  );
  return { version, kit };
}
