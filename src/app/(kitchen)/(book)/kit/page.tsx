import type { Metadata } from 'next';
import { KitPage } from '@/features/kit/KitPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { currentContext } from '@/server/currentContext';
import { loadKit } from '@/server/kit';

export const metadata: Metadata = { title: 'Kit' };

export default async function Kit() {
  const kept = await loadKit(await currentContext());
  return (
    <>
      <SetAsideNote setAside={kept.setAside ? [kept.setAside] : []} />
      <KitPage kept={kept} />
    </>
  );
}
