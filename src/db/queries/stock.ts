import * as z from 'zod';
import { KEPT_IN, PUT_BY } from '@/core/formula';
import { many, type Queryable } from '../rows';

const stockRow = z.object({
  id: z.uuid(),
  formulaId: z.uuid(),
  name: z.string(),
  stock: z.array(
    z.union([
      z.object({
        wayId: z.string(),
        name: z.string(),
        as: z.enum(PUT_BY),
        madeAtMs: z.number(),
        bestByMs: z.number(),
        madePieces: z.number().int(),
        leftPieces: z.number().int(),
        // a card of before was made without
        finishS: z.number().default(0),
      }),
      z.object({
        stageId: z.string(),
        name: z.string(),
        place: z.enum(KEPT_IN),
        madeAtMs: z.number(),
        bestByMs: z.number(),
        perPieceG: z.number(),
        madeG: z.number(),
        leftG: z.number(),
      }),
    ]),
  ),
});
export type BakeStock = z.infer<typeof stockRow>;

/** What is put by of which something is left, the newest bake first. */
export const listStock = (db: Queryable, kitchenId: string, most: number): Promise<BakeStock[]> =>
  many(
    db,
    {
      name: 'stock',
      text: `select bake_id as id, formula_id as "formulaId", name, stock from bake_card
             where kitchen_id = $1 and stock <> '[]'::jsonb order by started_at desc, bake_id desc limit $2`,
      row: stockRow,
    },
    [kitchenId, most],
  );
