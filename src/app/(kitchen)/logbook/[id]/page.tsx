import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { BakePage } from '@/features/logbook/BakePage';
import { loadBake } from '@/server/bakes';
import { currentContext } from '@/server/context';
import { knownId } from '@/server/knownId';

export const metadata: Metadata = { title: 'A bake' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const id = knownId((await params).id);
  const bake = id ? await loadBake(context, id) : null;
  if (!bake) notFound();
  return <BakePage bake={bake} nowMs={context.now().getTime()} />;
}
