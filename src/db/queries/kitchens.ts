import * as z from 'zod';
import { KITCHEN_DETAILS, readDocument, setAside, type SetAside } from '@/core/documents';
import { PLAIN_WAYS, type KitchenDetails } from '@/core/kit';
import { documentColumns, many, maybeOne, one, type Queryable } from '../rows';

const kitchenRow = z.object({
  id: z.uuid(),
  address: z.string(),
  demo: z.boolean(),
  /** Which data these are: another one after a backup was restored. */
  epoch: z.uuid(),
  ...documentColumns,
});

export interface KitchenRow {
  readonly id: string;
  /** Its word in addresses; never changes, whatever the kitchen is called. */
  readonly address: string;
  /** Made by the program, to look round in. */
  readonly demo: boolean;
  readonly epoch: string;
  readonly details: KitchenDetails;
  /** Its details cannot be read; plain ones stand in for them. */
  readonly setAside: SetAside | null;
}

const NAMELESS: KitchenDetails = { ...PLAIN_WAYS, name: 'Kitchen', about: '', timeZone: 'UTC' };

function kitchenOf({ schemaVersion, document, ...row }: z.infer<typeof kitchenRow>): KitchenRow {
  const read = readDocument(KITCHEN_DETAILS, schemaVersion, document);
  return read.ok
    ? { ...row, details: read.value, setAside: null }
    : { ...row, details: NAMELESS, setAside: setAside(KITCHEN_DETAILS, row.id, schemaVersion, document) };
}

const COLUMNS = `id, address, demo, details as document, schema_version as "schemaVersion"`;
const KITCHENS = `select ${COLUMNS}, epoch from kitchen, installation`;

/** The oldest kitchen there is. */
export async function firstKitchen(db: Queryable): Promise<KitchenRow | null> {
  const row = await maybeOne(
    db,
    { name: 'first-kitchen', text: `${KITCHENS} order by created_at, id limit 1`, row: kitchenRow },
    [],
  );
  return row && kitchenOf(row);
}

/** The kitchen with a word of its own in addresses. */
export async function findKitchen(db: Queryable, address: string): Promise<KitchenRow | null> {
  const row = await maybeOne(
    db,
    { name: 'kitchen', text: `${KITCHENS} where address = $1`, row: kitchenRow },
    [address],
  );
  return row && kitchenOf(row);
}

/** All kitchens of this installation, the demo last, the others by name. */
export async function listKitchens(db: Queryable): Promise<KitchenRow[]> {
  const rows = await many(
    db,
    { text: `${KITCHENS} order by demo, lower(details ->> 'name'), created_at`, row: kitchenRow },
    [],
  );
  return rows.map(kitchenOf);
}

/** The kitchen that was made by a wish; null: that wish has made none. */
export async function kitchenByRequest(db: Queryable, requestId: string): Promise<KitchenRow | null> {
  const row = await maybeOne(db, { text: `${KITCHENS} where request_id = $1`, row: kitchenRow }, [requestId]);
  return row && kitchenOf(row);
}

export interface NewKitchen {
  readonly id: string;
  readonly address: string;
  readonly details: KitchenDetails;
  readonly demo?: boolean;
  readonly requestId?: string | null;
}

export async function insertKitchen(
  db: Queryable,
  { id, address, details, demo = false, requestId = null }: NewKitchen,
): Promise<KitchenRow> {
  const row = await one(
    db,
    {
      text: `insert into kitchen (id, address, details, schema_version, demo, request_id) values ($1, $2, $3, $4, $5, $6)
             returning ${COLUMNS}, (select epoch from installation) as epoch`,
      row: kitchenRow,
    },
    [id, address, JSON.stringify(details), KITCHEN_DETAILS.version, demo, requestId],
  );
  return kitchenOf(row);
}

/** Who makes or takes away kitchens does so one after the other: until the transaction ends. */
export async function lockKitchens(db: Queryable): Promise<void> {
  await db.query({ text: 'lock table kitchen in share row exclusive mode', values: [] });
}

/** The addresses that begin with a word: what a new one has to differ from. */
export const addressesLike = async (db: Queryable, word: string): Promise<string[]> =>
  (
    await many(
      db,
      {
        text: `select address from kitchen where starts_with(address, $1)`,
        row: z.object({ address: z.string() }),
      },
      [word],
    )
  ).map(({ address }) => address);

/** Who a kitchen is, changed: name, zone and what else stands in its details. */
export async function updateKitchen(db: Queryable, id: string, details: KitchenDetails): Promise<void> {
  await db.query({
    text: 'update kitchen set details = $2, schema_version = $3 where id = $1',
    values: [id, JSON.stringify(details), KITCHEN_DETAILS.version],
  });
}

/** Takes a kitchen away with everything in it. @returns whether it was there */
export const removeKitchen = async (db: Queryable, id: string): Promise<boolean> =>
  (await one(db, { text: 'select remove_kitchen($1) as gone', row: z.object({ gone: z.boolean() }) }, [id]))
    .gone;

const broughtRow = z.object({ brought: z.boolean() });
const BROUGHT = 'select demo_brought as brought from installation';

/** Has the demo kitchen come into this installation before? */
export const isDemoBrought = async (db: Queryable): Promise<boolean> =>
  (await one(db, { text: BROUGHT, row: broughtRow }, [])).brought;

/** The same, and nobody else is told until the transaction ends. Takes the tables' owner. */
export const lockDemoBrought = async (db: Queryable): Promise<boolean> =>
  (await one(db, { text: `${BROUGHT} for update`, row: broughtRow }, [])).brought;

export async function markDemoBrought(db: Queryable): Promise<void> {
  await db.query({ text: 'update installation set demo_brought = true', values: [] });
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
