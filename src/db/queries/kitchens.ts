import * as z from 'zod';
import { kitchenDetailsSchema } from '@/core/formats';
import { maybeOne, one, type Queryable } from '../rows';

const kitchenRow = z.object({
  id: z.uuid(),
  details: kitchenDetailsSchema,
  /** Which data these are: another one after a backup was restored. */
  epoch: z.uuid(),
});
export type KitchenRow = z.infer<typeof kitchenRow>;

/** Until there are accounts a database holds one kitchen: the first that was made. */
export const firstKitchen = (db: Queryable) =>
  maybeOne(
    db,
    {
      name: 'first-kitchen',
      text: 'select id, details, epoch from kitchen, installation order by created_at, id limit 1',
      row: kitchenRow,
    },
    [],
  );

export const insertKitchen = (db: Queryable, id: string, details: KitchenRow['details']) =>
  one(
    db,
    {
      text: 'insert into kitchen (id, details, schema_version) values ($1, $2, 1) returning id, details, (select epoch from installation) as epoch',
      row: kitchenRow,
    },
    [id, JSON.stringify(details)],
  );

/** When anything was last kept; null in a database where nothing ever was. For holding the machine's clock against. */
export async function newestMoment(db: Queryable): Promise<number | null> {
  const { at } = await one(
    db,
    {
      text: `select greatest((select max(saved_at) from formula_revision), (select max(happened_at) from bake_event),
               (select max(started_at) from bake)) as at`,
      row: z.object({ at: z.date().nullable() }),
    },
    [],
  );
  return at?.getTime() ?? null;
}
