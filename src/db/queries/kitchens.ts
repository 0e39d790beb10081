import * as z from 'zod';
import { KITCHEN_DETAILS, readDocument, setAside, type SetAside } from '@/core/documents';
import type { KitchenDetails } from '@/core/kit';
import { documentColumns, maybeOne, one, type Queryable } from '../rows';

const kitchenRow = z.object({
  id: z.uuid(),
  /** Which data these are: another one after a backup was restored. */
  epoch: z.uuid(),
  ...documentColumns,
});

export interface KitchenRow {
  readonly id: string;
  readonly epoch: string;
  readonly details: KitchenDetails;
  /** Its details cannot be read; plain ones stand in for them. */
  readonly setAside: SetAside | null;
}

const NAMELESS: KitchenDetails = { name: 'Kitchen', about: '', timeZone: 'UTC' };

function kitchenOf({ id, epoch, schemaVersion, document }: z.infer<typeof kitchenRow>): KitchenRow {
  const read = readDocument(KITCHEN_DETAILS, schemaVersion, document);
  return read.ok
    ? { id, epoch, details: read.value, setAside: null }
    : { id, epoch, details: NAMELESS, setAside: setAside(KITCHEN_DETAILS, id, schemaVersion, document) };
}

/** Until there are accounts a database holds one kitchen: the first that was made. */
export async function firstKitchen(db: Queryable): Promise<KitchenRow | null> {
  const row = await maybeOne(
    db,
    {
      name: 'first-kitchen',
      text: `select id, epoch, details as document, schema_version as "schemaVersion" from kitchen, installation
             order by created_at, id limit 1`,
      row: kitchenRow,
    },
    [],
  );
  return row && kitchenOf(row);
}

export async function insertKitchen(db: Queryable, id: string, details: KitchenDetails): Promise<KitchenRow> {
  const row = await one(
    db,
    {
      text: `insert into kitchen (id, details, schema_version) values ($1, $2, $3)
             returning id, (select epoch from installation) as epoch, details as document,
               schema_version as "schemaVersion"`,
      row: kitchenRow,
    },
    [id, JSON.stringify(details), KITCHEN_DETAILS.version],
  );
  return kitchenOf(row);
}

/** When anything was last saved; null in a database where nothing ever was. For holding the machine's clock against. */
export async function newestMoment(db: Queryable): Promise<number | null> {
  const { at } = await one(
    db,
    {
      // the log's newest without reading all of it: it is of a bake that ended or of one under way
      text: `select greatest((select max(saved_at) from formula_revision), (select max(ended_at) from bake_card),
               (select max(started_at) from bake_card), (select max(e.happened_at) from bake_event e
                  join bake_under_way u on u.kitchen_id = e.kitchen_id and u.bake_id = e.bake_id)) as at`,
      row: z.object({ at: z.date().nullable() }),
    },
    [],
  );
  return at?.getTime() ?? null;
}
