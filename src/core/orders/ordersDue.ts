import { TZDate } from '@date-fns/tz';
import type { BatchRequest } from '../batch';
import type { DayBatchDocument } from '../day/dayDocument';
import { wallField, wallMs } from '../day/dayEdit';
import { usualRequest } from '../day/usualRequest';
import type { Formula } from '../formula/formula';
import { ok, refuse, type Result } from '../result';
import { ORDER_LIMITS, type Order, type OrdersDocument } from './orderDocument';

/** One order at one time it is wanted. */
interface OrderDue {
  readonly order: Order;
  readonly atMs: number;
  /** The day by the kitchen's clock, "2026-12-05": with the order's id its name. */
  readonly date: string;
  readonly skipped: boolean;
  /** The batch of the day that is made for it; null: none yet. */
  readonly batchId: string | null;
}

/** What is made in one batch: the same bread for the same time. */
export interface OrderGroup {
  readonly formulaId: string;
  readonly formulaName: string;
  readonly atMs: number;
  readonly due: readonly OrderDue[];
  /** Of those that are neither skipped nor in a batch already. */
  readonly pieces: number;
}

const DAY_MS = 86_400_000;

/** When an order is wanted within some days from now, by the kitchen's clock. */
function timesOf({ when }: Order, zone: string, nowMs: number, days: number): number[] {
  if (when.kind === 'once') return when.atMs > nowMs && when.atMs <= nowMs + days * DAY_MS ? [when.atMs] : [];
  return Array.from({ length: days + 1 }, (_, on) => wallMs(zone, nowMs, on, when.clock)).filter((ms) => {
    const weekday = new TZDate(ms, zone).getDay();
    return ms > nowMs && ms <= nowMs + days * DAY_MS && when.days.includes(weekday === 0 ? 7 : weekday);
  });
}

/** Orders that are wanted within some days, grouped by what can be made in one batch, the first first. */
export function ordersDue({ orders }: OrdersDocument, batches: readonly DayBatchDocument[], zone: string, nowMs: number, days: number): OrderGroup[] {
  const inBatch = new Map(batches.flatMap(({ id, orders: made = [] }) => made.map(({ orderId, date }) => [`${orderId} ${date}`, id] as const)));
  const groups = new Map<string, OrderDue[]>();
  for (const order of orders)
    for (const atMs of timesOf(order, zone, nowMs, days)) {
      const date = wallField(zone, atMs).slice(0, 10);
      const key = `${order.formulaId} ${atMs}`;
      const due = { order, atMs, date, skipped: order.skipped.includes(date), batchId: inBatch.get(`${order.id} ${date}`) ?? null };
      groups.set(key, [...(groups.get(key) ?? []), due]);
    }
  return [...groups.values()]
    .map((due): OrderGroup => {
      const open = due.filter(({ skipped, batchId }) => !skipped && batchId === null);
      const [{ order, atMs }] = due as [OrderDue];
      return { formulaId: order.formulaId, formulaName: order.formulaName, atMs, due, pieces: open.reduce((sum, each) => sum + each.order.pieces, 0) };
    })
    .sort((a, b) => a.atMs - b.atMs);
} // prettier-ignore

/** A batch for orders, as the day takes it. */
export interface OrderBatch {
  readonly batch: BatchRequest;
  readonly ready: { readonly fromMs: number; readonly toMs: number };
  readonly orders: NonNullable<DayBatchDocument['orders']>;
}

/**
 * The batch that a group of orders becomes: their pieces and the spare ones.
 *
 * @returns `required` where nothing is left to be made, `tooLarge` at pieces, `notAllowed` for a dough that parts into several breads: how much of each nobody said
 */
export function batchForOrders({ due, pieces, atMs }: OrderGroup, formula: Formula, spare: number): Result<OrderBatch> {
  const request = usualRequest(formula);
  if (request.mode !== 'pieces') return refuse('notAllowed', 'formula');
  if (pieces === 0) return refuse('required', 'pieces');
  const { max } = ORDER_LIMITS.pieces;
  if (pieces + spare > max) return refuse('tooLarge', 'pieces', { max });
  return ok({
    batch: { ...request, pieces: pieces + spare },
    ready: { fromMs: atMs, toMs: atMs },
    orders: due
      .filter(({ skipped, batchId }) => !skipped && batchId === null)
      .map(({ order: { id, who, pieces: count }, date }) => ({ orderId: id, date, who, pieces: count })),
  });
} // prettier-ignore
