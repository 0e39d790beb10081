import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { BakePage } from '@/features/logbook/BakePage';
import { loadBake } from '@/server/bakes';
import { UnreadablePage } from '@/features/shell/UnreadablePage';
import { currentContext } from '@/server/context';
import { orUnreadable } from '@/server/orUnreadable';
import { knownId } from '@/server/knownId';

export const metadata: Metadata = { title: 'A bake' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const id = knownId((await params).id);
  const found = id ? await orUnreadable(loadBake(context, id)) : null;
  if (found && 'setAside' in found) return <UnreadablePage setAside={found.setAside} />;
  const bake = found?.value ?? null;
  if (!bake) notFound();
  return <BakePage bake={bake} nowMs={context.now().getTime()} />;
}
