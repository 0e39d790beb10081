'use client';
import type { OrdersDocument } from '@/core/orders/orderDocument';
import { words } from '@/wording/screens/orders/orders';
import { useVersioned, type Stored, type VersionedPlace } from '../versioned/useVersioned';

const ORDERS: VersionedPlace<OrdersDocument> = {
  of: 'orders',
  what: words.changes,
  body: ({ requestId, seen, value }) => ({ requestId, seen, orders: value }),
  readDraft: async (body) => {
    const { saveOrdersSchema } = await import('@/core/requests');
    const read = saveOrdersSchema.safeParse(body);
    return read.success ? { requestId: read.data.requestId, seen: read.data.seen, value: read.data.orders } : null;
  },
}; // prettier-ignore

/** What is ordered, as it is being changed. */
export const useOrders = (stored: Stored<OrdersDocument>) => useVersioned(stored, ORDERS);
