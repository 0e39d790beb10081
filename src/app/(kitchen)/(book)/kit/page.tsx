import type { Metadata } from 'next';
import { KitPage } from '@/features/kit/KitPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { currentContext } from '@/server/currentContext';
import { loadKit } from '@/server/kit';

export const metadata: Metadata = { title: 'Kit' };

export default async function Kit() {
  const stored = await loadKit(await currentContext());
  return (
    <>
      <SetAsideNote setAside={stored.setAside ? [stored.setAside] : []} />
      <KitPage stored={stored} />
    </>
  );
}
