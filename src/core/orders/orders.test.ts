import { demoFormula } from '../../../tests/kitchenDays';
import type { DayBatchDocument } from '../day/dayDocument';
import { NO_ORDERS, ordersDocumentSchema, type Order, type OrdersDocument } from './orderDocument';
import { editOrders, type OrderEdit } from './orderEdit';
import { batchForOrders, ordersDue } from './ordersDue';

const ZONE = 'Europe/Lisbon';
/** A Thursday at noon. */
const NOW = Date.parse('2026-12-03T12:00:00Z');
const ROLLS = '6a1f3c0e-7a55-4b8e-9d64-0f4f3c5f1a01';
const id = (n: number) => `7f0d3f0e-2c55-4a0e-9a64-${String(n).padStart(12, '0')}`;
const order = (n: number, who: string, pieces: number, when: Order['when'], more: Partial<Order> = {}): Order => ({
  id: id(n), who, formulaId: ROLLS, formulaName: 'Supper rolls', pieces, avoids: [], when, skipped: [], ...more,
}); // prettier-ignore
const weekly = (...days: number[]): Order['when'] => ({ kind: 'weekly', days, clock: '08:00' });
const book = (...orders: Order[]): OrdersDocument => ({ ...NO_ORDERS, orders });
const edited = (document: OrdersDocument, edit: OrderEdit) => {
  const made = editOrders(document, edit, NOW);
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
};
const groups = (document: OrdersDocument, batches: DayBatchDocument[] = [], days = 7) =>
  ordersDue(document, batches, ZONE, NOW, days).map(({ atMs, pieces, due }) => [
    new Date(atMs).toISOString().slice(0, 16),
    pieces,
    due.map((each) => each.order.who).join(' + '),
  ]);

test('orders of the same bread for the same time are one batch; standing ones come every week, also across a change of the clock', () => {
  const all = book(order(1, 'Mill café', 24, weekly(3, 6)), order(2, 'Number nine', 6, weekly(6)), order(3, 'Fair', 60, { kind: 'once', atMs: Date.parse('2026-12-05T14:00:00Z') }));
  expect(groups(all)).toEqual([
    ['2026-12-05T08:00', 30, 'Mill café + Number nine'],
    ['2026-12-05T14:00', 60, 'Fair'],
    ['2026-12-09T08:00', 24, 'Mill café'],
  ]);
  // what is over is over, what is after the week is not yet
  expect(groups(book(order(4, 'x', 1, { kind: 'once', atMs: NOW })))).toEqual([]);
  expect(groups(book(order(4, 'x', 1, weekly(4))), [], 6)).toEqual([]);
  expect(groups(book(order(4, 'x', 1, weekly(4))), [], 7)).toHaveLength(1);
  // eight by the clock on the wall, before and after the last Sunday of March
  const spring = ordersDue(book(order(1, 'x', 1, weekly(6, 1))), [], ZONE, Date.parse('2026-03-27T12:00:00Z'), 4).map(({ atMs }) => new Date(atMs).toISOString().slice(5, 16));
  expect(spring).toEqual(['03-28T08:00', '03-30T07:00']);
}); // prettier-ignore

test('a week skipped is not made, and comes again; what is in a batch already is not asked for twice', () => {
  const all = book(order(1, 'Mill café', 24, weekly(6)), order(2, 'Number nine', 6, weekly(6)));
  const skipped = edited(all, { type: 'skip', orderId: id(1), date: '2026-12-05', skip: true });
  expect(groups(skipped, [], 14)).toEqual([['2026-12-05T08:00', 6, 'Mill café + Number nine'], ['2026-12-12T08:00', 30, 'Mill café + Number nine']]);
  expect(edited(skipped, { type: 'skip', orderId: id(1), date: '2026-12-05', skip: false })).toEqual(all);
  const [group] = ordersDue(all, [], ZONE, NOW, 7);
  const made = batchForOrders(group!, demoFormula('supper-rolls'), 2);
  if (!made.ok) throw new Error(made.problem.code);
  expect(made.value).toMatchObject({
    batch: { mode: 'pieces', pieces: 32, pieceMassG: 85 }, ready: { fromMs: group!.atMs, toMs: group!.atMs },
    orders: [{ orderId: id(1), date: '2026-12-05', who: 'Mill café', pieces: 24 }, { orderId: id(2), pieces: 6 }],
  });
  const batch = { id: id(9), orders: made.value.orders } as unknown as DayBatchDocument;
  const [after] = ordersDue(all, [batch], ZONE, NOW, 7);
  expect([after!.pieces, after!.due.map(({ batchId }) => batchId)]).toEqual([0, [id(9), id(9)]]);
  expect(batchForOrders(after!, demoFormula('supper-rolls'), 2)).toMatchObject({ ok: false, problem: { code: 'required' } });
  // a dough that parts into several breads is not guessed at
  expect(batchForOrders(group!, demoFormula('lock-dough'), 0)).toMatchObject({ ok: false, problem: { code: 'notAllowed' } });
}); // prettier-ignore

test('what cannot be ordered is refused and changes nothing: ten thousand, nobody, a time that is over, the same again', () => {
  const wish = order(1, 'Mill café', 24, weekly(6));
  const ordersOf = (part: Partial<Order>) => ordersDocumentSchema.safeParse(book({ ...wish, ...part })).success;
  expect([ordersOf({}), ordersOf({ pieces: 10_000 }), ordersOf({ pieces: 0 }), ordersOf({ pieces: 2.5 }), ordersOf({ who: ' ' })]).toEqual([true, false, false, false, false]);
  expect([ordersOf({ when: { kind: 'weekly', days: [], clock: '08:00' } }), ordersOf({ when: { kind: 'weekly', days: [8], clock: '08:00' } }), ordersOf({ when: { kind: 'weekly', days: [1], clock: '8' } })]).toEqual([false, false, false]);
  expect(ordersDocumentSchema.safeParse(book(wish, wish)).success).toBe(false);
  const refusal = (edit: OrderEdit, document = book(wish)) => {
    const made = editOrders(document, edit, NOW);
    return made.ok ? 'done' : `${made.problem.code} ${made.problem.path}`;
  };
  expect(refusal({ type: 'add', order: { ...wish, id: id(2), when: { kind: 'once', atMs: NOW - 1 } } })).toBe('tooSmall when');
  expect(refusal({ type: 'add', order: { ...wish, id: id(2), who: ' ' } })).toBe('required who');
  expect(refusal({ type: 'remove', orderId: id(7) })).toBe('notAllowed orderId');
  expect(refusal({ type: 'add', order: { ...wish, id: id(300) } }, { spare: 0, orders: Array.from({ length: 200 }, (_, n) => ({ ...wish, id: id(n + 10) })) })).toBe('tooMany orders');
  const [group] = ordersDue(book({ ...wish, pieces: 5000 }), [], ZONE, NOW, 7);
  expect(batchForOrders(group!, demoFormula('supper-rolls'), 1)).toMatchObject({ ok: false, problem: { code: 'tooLarge', path: 'pieces' } });
}); // prettier-ignore

test('a single order again next week, under an id of its own; amounts, spare, gone', () => {
  const once = order(1, 'Fair', 60, { kind: 'once', atMs: NOW + 3_600_000 }, { avoids: ['egg'] });
  const again = edited(book(once), { type: 'again', orderId: id(1), id: id(2), atMs: NOW + 3_600_000 + 7 * 86_400_000 });
  expect(again.orders).toHaveLength(2);
  expect(again.orders[1]).toMatchObject({ id: id(2), who: 'Fair', pieces: 60, avoids: ['egg'] });
  expect(edited(again, { type: 'pieces', orderId: id(2), pieces: 40 }).orders.map(({ pieces }) => pieces)).toEqual([60, 40]);
  expect(edited(again, { type: 'spare', spare: 3 }).spare).toBe(3);
  expect(edited(again, { type: 'remove', orderId: id(1) }).orders.map((each) => each.id)).toEqual([id(2)]);
}); // prettier-ignore
