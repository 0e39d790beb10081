import * as z from 'zod';
import { EXCLUSIONS } from '../eaters/eater';
import { FORMULA_LIMITS } from '../formula/formulaLimits';
import { plainText } from '../plainTextSchema';

export const ORDER_LIMITS = {
  who: 60,
  /** Orders of one kitchen. */
  most: 200,
  pieces: FORMULA_LIMITS.pieces,
  /** Pieces more than were ordered, for each batch: one breaks, one is tasted. */
  spare: { min: 0, max: 20 },
  skipped: 60,
} as const;

const date = z.string().regex(/^\d{4}-\d\d-\d\d$/);

const orderSchema = z.strictObject({
  id: z.uuid(),
  /** For whom: no more than what stands on the label. */
  who: plainText(ORDER_LIMITS.who).trim().min(1),
  formulaId: z.uuid(),
  /** The formula's name when it was ordered. */
  formulaName: plainText(120),
  pieces: z.number().int().min(ORDER_LIMITS.pieces.min).max(ORDER_LIMITS.pieces.max),
  /** What must not be in it. */
  avoids: z.array(z.enum(EXCLUSIONS)).max(EXCLUSIONS.length),
  when: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('once'), atMs: z.number().int().min(0).max(8_640_000_000_000) }),
    /** 1 Monday to 7 Sunday, by the kitchen's clock. */
    z.strictObject({
      kind: z.literal('weekly'),
      days: z.array(z.number().int().min(1).max(7)).min(1).max(7),
      clock: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/),
    }),
  ]),
  /** Days on which it is left out. */
  skipped: z.array(date).max(ORDER_LIMITS.skipped),
});
export type Order = z.infer<typeof orderSchema>;

/** What is ordered of a kitchen; kept in versions. */
export const ordersDocumentSchema = z
  .strictObject({
    spare: z.number().int().min(ORDER_LIMITS.spare.min).max(ORDER_LIMITS.spare.max),
    orders: z.array(orderSchema).max(ORDER_LIMITS.most),
  })
  .superRefine(({ orders }, context) => {
    const seen = new Set<string>();
    for (const [at, { id }] of orders.entries()) {
      if (seen.has(id)) context.addIssue({ code: 'custom', path: ['orders', at, 'id'], params: { code: 'duplicateId' } });
      seen.add(id);
    }
  }); // prettier-ignore
export type OrdersDocument = z.infer<typeof ordersDocumentSchema>;

export const NO_ORDERS: OrdersDocument = { spare: 1, orders: [] };
