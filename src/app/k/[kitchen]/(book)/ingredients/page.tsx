import type { Metadata } from 'next';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { LarderPage } from '@/features/larder/LarderPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { siftLarder } from '@/server/ingredients';
import { Book } from '../../Book';
import { kitchenOf, type KitchenParams } from '../../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.ingredients };

export default async function Page({ params }: KitchenParams) {
  const context = await kitchenOf(params);
  const { setAside } = await siftLarder(context);
  return (
    <Book context={context} holds="everything">
      <NuqsAdapter>
        <SetAsideNote setAside={setAside} />
        <LarderPage />
      </NuqsAdapter>
    </Book>
  );
}
