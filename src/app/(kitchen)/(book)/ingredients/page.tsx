import type { Metadata } from 'next';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { LarderPage } from '@/features/larder/LarderPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { currentContext } from '@/server/currentContext';
import { siftLarder } from '@/server/ingredients';

export const metadata: Metadata = { title: 'Larder' };

export default async function Page() {
  const { setAside } = await siftLarder(await currentContext());
  return (
    <NuqsAdapter>
      <SetAsideNote setAside={setAside} />
      <LarderPage />
    </NuqsAdapter>
  );
}
