import type { Metadata } from 'next';
import { KitPage } from '@/features/kit/KitPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { loadKit } from '@/server/kit';
import { Book } from '../Book';
import { kitchenOf, type KitchenParams } from '../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.equipment };

export default async function Kit({ params }: KitchenParams) {
  const context = await kitchenOf(params);
  const stored = await loadKit(context);
  return (
    <Book context={context} holds="everything">
      <SetAsideNote setAside={stored.setAside ? [stored.setAside] : []} />
      <KitPage stored={stored} details={context.kitchen.details} />
    </Book>
  );
}
