import { notFound } from 'next/navigation';
import type { Context } from '@/server/context';
import { kitchenContext } from '@/server/kitchenContext';

export interface KitchenParams {
  readonly params: Promise<{ kitchen: string }>;
}

/** The kitchen a page is in; a page of a kitchen that is not there is not there either. */
export async function kitchenOf(params: KitchenParams['params']): Promise<Context> {
  return (await kitchenContext((await params).kitchen)) ?? notFound();
}
