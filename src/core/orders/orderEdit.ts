import { ok, refuse, type Result } from '../result';
import { ORDER_LIMITS, type Order, type OrdersDocument } from './orderDocument';

/** A change of the orders, as a hand makes it. */
export type OrderEdit =
  | { readonly type: 'add'; readonly order: Omit<Order, 'skipped'> }
  | { readonly type: 'pieces'; readonly orderId: string; readonly pieces: number }
  | { readonly type: 'remove'; readonly orderId: string }
  | { readonly type: 'skip'; readonly orderId: string; readonly date: string; readonly skip: boolean }
  /** A single one the same a week later, under an id of its own. */
  | { readonly type: 'again'; readonly orderId: string; readonly id: string; readonly atMs: number }
  | { readonly type: 'spare'; readonly spare: number };

/**
 * The orders with a change made.
 *
 * @returns `tooMany` at orders; `tooSmall` at when (that time is over); `required` at who; `notAllowed` at orderId where it is not there any more
 */
export function editOrders(document: OrdersDocument, edit: OrderEdit, nowMs: number): Result<OrdersDocument> {
  const { orders } = document;
  const added = (order: Order): Result<OrdersDocument> => {
    if (orders.length >= ORDER_LIMITS.most) return refuse('tooMany', 'orders', { max: ORDER_LIMITS.most });
    if (order.who.trim() === '') return refuse('required', 'who');
    if (order.when.kind === 'once' && order.when.atMs <= nowMs) return refuse('tooSmall', 'when');
    return ok({ ...document, orders: [...orders, { ...order, who: order.who.trim() }] });
  };
  if (edit.type === 'spare') return ok({ ...document, spare: edit.spare });
  if (edit.type === 'add') return added({ ...edit.order, skipped: [] });
  const order = orders.find(({ id }) => id === edit.orderId);
  if (!order) return refuse('notAllowed', 'orderId');
  const change = (part: Partial<Order>): Result<OrdersDocument> =>
    ok({ ...document, orders: orders.map((each) => (each.id === order.id ? { ...each, ...part } : each)) });
  switch (edit.type) {
    case 'remove':
      return ok({ ...document, orders: orders.filter(({ id }) => id !== order.id) });
    case 'pieces':
      return change({ pieces: edit.pieces });
    case 'skip': {
      const others = order.skipped.filter((date) => date !== edit.date);
      // the oldest is long over
      return change({ skipped: edit.skip ? [...others, edit.date].sort().slice(-ORDER_LIMITS.skipped) : others });
    }
    case 'again':
      return added({ ...order, id: edit.id, when: { kind: 'once', atMs: edit.atMs }, skipped: [] });
  }
} // prettier-ignore
