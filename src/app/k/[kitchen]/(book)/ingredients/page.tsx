import type { Metadata } from 'next';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { LarderPage } from '@/features/larder/LarderPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { siftLarder } from '@/server/ingredients';
import { kitchenOf, type KitchenParams } from '../../kitchenOf';

export const metadata: Metadata = { title: 'Larder' };

export default async function Page({ params }: KitchenParams) {
  const { setAside } = await siftLarder(await kitchenOf(params));
  return (
    <NuqsAdapter>
      <SetAsideNote setAside={setAside} />
      <LarderPage />
    </NuqsAdapter>
  );
}
