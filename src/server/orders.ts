import type { SaveOrders } from '@/core/requests';
import type { DayFormula } from '@/core/day/kitchenDay';
import { NO_ORDERS, type OrdersDocument } from '@/core/orders/orderDocument';
import { findFormula } from '@/db/queries/formulas';
import { newestVersion, ORDER_BOOK } from '@/db/queries/versions';
import type { Context } from './context';
import type { Stored } from './day';
import { done, type Done } from './failure';
import { orUnreadable } from './orUnreadable';
import { saveVersion } from './versions';

export type StoredOrders = Stored<OrdersDocument>;

/** What is ordered of a kitchen. */
export async function loadOrders({
  pool,
  kitchen,
}: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredOrders> {
  const { newest, setAside, version } = await newestVersion(pool, ORDER_BOOK, kitchen.id);
  return { version, value: newest?.value ?? NO_ORDERS, ...(setAside && { setAside }) };
}

export async function saveOrders(
  context: Context,
  { requestId, seen, orders }: SaveOrders,
): Promise<Done<{ readonly version: number }>> {
  const answer = await saveVersion(context, ORDER_BOOK, { requestId, seen, value: orders });
  return answer.ok ? done({ version: answer.value.version }) : answer;
}

/** The formulas that are ordered, as they are now; one that is gone or cannot be read is left out. */
export async function orderedFormulas({ pool, kitchen }: Context, { orders }: OrdersDocument): Promise<DayFormula[]> {
  const ids = [...new Set(orders.map(({ formulaId }) => formulaId))];
  const found = await Promise.all(ids.map((id) => orUnreadable(findFormula(pool, kitchen.id, id))));
  return found.flatMap((each) =>
    'setAside' in each || !each.value ? [] : [{ formulaId: each.value.id, revision: each.value.revision, formula: each.value.formula }],
  );
} // prettier-ignore
