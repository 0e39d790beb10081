import { redirect } from 'next/navigation';
import { kitchenPlace } from '@/features/kitchen/place';
import { kitchenContext, OLDEST } from '@/server/kitchenContext';
import { lastKitchen } from './lastKitchen';

interface Props {
  params: Promise<{ rest?: string[] }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/**
 * What stood at the top before kitchens stood beside one another: an address that somebody noted then leads on, into the kitchen this
 * browser was in last, or the oldest.
 */
export const earlierAddress = (station: string) =>
  async function EarlierAddress({ params, searchParams }: Props) {
    const last = await lastKitchen();
    const context = (last && (await kitchenContext(last))) || (await kitchenContext(OLDEST));
    if (!context) redirect('/kitchens');
    const query = new URLSearchParams();
    for (const [name, value] of Object.entries(await searchParams))
      if (typeof value === 'string') query.set(name, value);
    const rest = ((await params).rest ?? []).map((part) => `/${part}`).join('');
    const path = kitchenPlace(context.kitchen.address).page(`/${station}${rest}`);
    redirect(query.size > 0 ? `${path}?${query}` : path);
  };
