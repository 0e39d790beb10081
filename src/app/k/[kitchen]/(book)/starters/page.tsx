import type { Metadata } from 'next';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { StartersPage } from '@/features/starter/StartersPage';
import { loadStarters } from '@/server/starters';
import { words } from '@/wording/screens/pages';
import { Book } from '../../Book';
import { kitchenOf, type KitchenParams } from '../../kitchenOf';

export const metadata: Metadata = { title: words.starters };

export default async function Page({ params }: KitchenParams) {
  const context = await kitchenOf(params);
  const stored = await loadStarters(context);
  return (
    <Book context={context} holds={stored.value}>
      <SetAsideNote setAside={stored.setAside ? [stored.setAside] : []} />
      <StartersPage stored={stored} nowMs={context.now().getTime()} />
    </Book>
  );
}
