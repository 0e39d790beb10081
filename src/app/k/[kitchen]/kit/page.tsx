import type { Metadata } from 'next';
import { KitPage } from '@/features/kit/KitPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { loadKit } from '@/server/kit';
import { kitchenOf, type KitchenParams } from '../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.equipment };

export default async function Kit({ params }: KitchenParams) {
  const context = await kitchenOf(params);
  const [stored, book] = await Promise.all([loadKit(context), context.book()]);
  // their names are all the page needs: the book itself would be a third of its code
  const ingredients = [...book.values()].map(({ id, name }) => ({ id, name }));
  return (
    <>
      <SetAsideNote setAside={stored.setAside ? [stored.setAside] : []} />
      <KitPage stored={stored} details={context.kitchen.details} ingredients={ingredients} />
    </>
  );
}
