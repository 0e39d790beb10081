import { randomUUID } from 'node:crypto';
import { plainLoaf } from '@/core/formula/testFormulas';
import { NO_ORDERS, type OrdersDocument } from '@/core/orders/orderDocument';
import type { Context } from '@/server/context';
import { createFormula } from '@/server/formulas';
import { loadOrders, orderedFormulas, saveOrders } from '@/server/orders';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
beforeAll(async () => {
  db = await testDatabase();
});
afterAll(() => db.drop());
beforeEach(async () => {
  here = await db.kitchen();
});

const ordersOf = (formulaId: string): OrdersDocument => ({
  spare: 2,
  orders: [
    { id: randomUUID(), who: 'Mill café', formulaId, formulaName: 'Plain loaf', pieces: 4, avoids: ['egg'], when: { kind: 'weekly', days: [6], clock: '08:00' }, skipped: [] },
  ],
}); // prettier-ignore

test('orders are saved in versions; who has not seen the newest is told; no other kitchen sees them', async () => {
  expect(await loadOrders(here)).toEqual({ version: 0, value: NO_ORDERS });
  const orders = ordersOf(randomUUID());
  const requestId = randomUUID();
  const twice = await Promise.all([1, 2].map(() => saveOrders(here, { requestId, seen: 0, orders })));
  expect(twice.map((answer) => answer.ok && answer.value.version)).toEqual([1, 1]);
  expect(await saveOrders(here, { requestId: randomUUID(), seen: 0, orders: NO_ORDERS })).toMatchObject({
    ok: false,
    failure: { kind: 'stale' },
  });
  expect(await loadOrders(here)).toEqual({ version: 1, value: orders });
  expect((await loadOrders(await db.kitchen())).version).toBe(0);
  await expect(db.admin.query('update kitchen_orders set version = 9')).rejects.toThrow(/append-only/);
});

test('the formulas that are ordered, each once as it is now; what is gone, or a stranger’s, is left out', async () => {
  const made = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!made.ok) throw new Error('no formula');
  const { orders } = ordersOf(made.value.id);
  const document = { spare: 0, orders: [...orders, { ...orders[0]!, id: randomUUID() }, ...ordersOf(randomUUID()).orders] };
  expect(await orderedFormulas(here, document)).toMatchObject([{ formulaId: made.value.id, revision: 1, formula: { name: plainLoaf().name } }]);
  expect(await orderedFormulas(await db.kitchen(), document)).toEqual([]);
}); // prettier-ignore
