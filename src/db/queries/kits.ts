import * as z from 'zod';
import { kitSchema, type Kit } from '@/core/kit/kitSchema';
import { maybeOne, one, type Queryable } from '../rows';

const kitRow = z.object({ version: z.number().int(), kit: kitSchema });

/** The newest version of a kitchen's kit, null where nobody has said anything yet. */
export const newestKit = (db: Queryable, kitchenId: string) =>
  maybeOne(
    db,
    {
      name: 'kit-newest',
      text: 'select version, kit from kitchen_kit where kitchen_id = $1 order by version desc limit 1',
      row: kitRow,
    },
    [kitchenId],
  );

/** What an earlier sending of the same request kept, if it did. */
export const findKitByRequest = (db: Queryable, kitchenId: string, requestId: string) =>
  maybeOne(
    db,
    { text: 'select version, kit from kitchen_kit where kitchen_id = $1 and request_id = $2', row: kitRow },
    [kitchenId, requestId],
  );

export interface NewKit {
  readonly kitchenId: string;
  readonly version: number;
  readonly requestId: string;
  readonly kit: Kit;
  readonly savedAt: Date;
}

/** Fails on the key when somebody else kept this version first. */
export const insertKit = (db: Queryable, { kitchenId, version, requestId, kit, savedAt }: NewKit) =>
  one(
    db,
    {
      text: `insert into kitchen_kit (kitchen_id, version, request_id, kit, saved_at, schema_version)
             values ($1, $2, $3, $4, $5, 1) returning version, kit`,
      row: kitRow,
    },
    [kitchenId, version, requestId, JSON.stringify(kit), savedAt],
  );
