import type { Context } from '@/server/context';
import { kitchenContext } from '@/server/kitchenContext';
import { NoSuchKitchen } from './edge';

export interface KitchenParams {
  readonly params: Promise<{ kitchen: string }>;
}
export interface IdParams {
  readonly params: Promise<{ kitchen: string; id: string }>;
}

/** @throws NoSuchKitchen where the address names none: answered as not found */
export async function kitchenOf(params: KitchenParams['params']): Promise<Context> {
  const context = await kitchenContext((await params).kitchen);
  if (!context) throw new NoSuchKitchen();
  return context;
}
