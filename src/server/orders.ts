import type { SaveOrders } from '@/core/requests';
import type { DayFormula } from '@/core/day/kitchenDay';
import { NO_ORDERS, type OrdersDocument } from '@/core/orders/orderDocument';
import { findFormula } from '@/db/queries/formulas';
import { ORDER_BOOK } from '@/db/queries/versions';
import type { Context } from './context';
import { orUnreadable } from './orUnreadable';
import { loadVersion, saveNext, type Stored } from './versions';

/** What is ordered of a kitchen. */
export const loadOrders = (context: Pick<Context, 'pool' | 'kitchen'>): Promise<Stored<OrdersDocument>> =>
  loadVersion(context, ORDER_BOOK, NO_ORDERS);

export const saveOrders = (context: Context, { requestId, seen, orders }: SaveOrders) =>
  saveNext(context, ORDER_BOOK, { requestId, seen, value: orders });

/** The formulas that are ordered, as they are now; one that is gone or cannot be read is left out. */
export async function orderedFormulas({ pool, kitchen }: Context, { orders }: OrdersDocument): Promise<DayFormula[]> {
  const ids = [...new Set(orders.map(({ formulaId }) => formulaId))];
  const found = await Promise.all(ids.map((id) => orUnreadable(findFormula(pool, kitchen.id, id))));
  return found.flatMap((each) =>
    'setAside' in each || !each.value ? [] : [{ formulaId: each.value.id, revision: each.value.revision, formula: each.value.formula }],
  );
} // prettier-ignore
