import type { Metadata } from 'next';
import { OrdersPage } from '@/features/orders/OrdersPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { loadDay } from '@/server/day';
import { loadOrders, orderedFormulas } from '@/server/orders';
import { formulaNames } from '@/server/shelf';
import { Book } from '../../Book';
import { kitchenOf, type KitchenParams } from '../../kitchenOf';
import { words } from '@/wording/screens/pages';

/** More breads than this nobody chooses from. */
const OFFERED = 300;

export const metadata: Metadata = { title: words.orders };

export default async function Page({ params }: KitchenParams) {
  const context = await kitchenOf(params);
  const [stored, day, names] = await Promise.all([loadOrders(context), loadDay(context), formulaNames(context, '', OFFERED)]);
  const formulas = await orderedFormulas(context, stored.value);
  return (
    <Book context={context} holds={formulas}>
      <SetAsideNote setAside={[stored.setAside, day.setAside].filter((each) => each !== undefined)} />
      <OrdersPage stored={stored} day={day} formulas={formulas} names={names} nowMs={context.now().getTime()} />
    </Book>
  );
} // prettier-ignore
