import * as z from 'zod';
import { kitchenDetailsSchema } from '@/core/formats';
import { maybeOne, one, type Queryable } from '../rows';

const kitchenRow = z.object({ id: z.uuid(), details: kitchenDetailsSchema });
export type KitchenRow = z.infer<typeof kitchenRow>;

/** Until there are accounts a database holds one kitchen: the first that was made. */
export const firstKitchen = (db: Queryable) =>
  maybeOne(
    db,
    {
      name: 'first-kitchen',
      text: 'select id, details from kitchen order by created_at, id limit 1',
      row: kitchenRow,
    },
    [],
  );

export const insertKitchen = (db: Queryable, id: string, details: KitchenRow['details']) =>
  one(
    db,
    { text: 'insert into kitchen (id, details) values ($1, $2) returning id, details', row: kitchenRow },
    [id, JSON.stringify(details)],
  );
