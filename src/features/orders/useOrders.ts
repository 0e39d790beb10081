'use client';
import type { OrdersDocument } from '@/core/orders/orderDocument';
import { words } from '@/wording/screens/orders/orders';
import { useVersioned, versionedPlace, type Stored } from '../versioned/useVersioned';

const ORDERS = versionedPlace(
  'orders',
  words.changes,
  async () => (await import('@/core/requests')).saveOrdersSchema,
);

/** What is ordered, as it is being changed. */
export const useOrders = (stored: Stored<OrdersDocument>) => useVersioned(stored, ORDERS);
