import { stateOf } from '@/core/bake';
import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { BenchPage } from '@/features/bench/BenchPage';
import { loadBake } from '@/server/bakes';
import { UnreadablePage } from '@/features/shell/UnreadablePage';
import { currentContext } from '@/server/context';
import { orUnreadable } from '@/server/orUnreadable';
import { knownId } from '@/server/knownId';

export const metadata: Metadata = { title: 'Bench' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const id = knownId((await params).id);
  const found = id ? await orUnreadable(loadBake(context, id)) : null;
  if (found && 'setAside' in found) return <UnreadablePage setAside={found.setAside} />;
  const bake = found?.value ?? null;
  if (!bake) notFound();
  if (stateOf(bake).endedAtMs !== null) redirect(`/logbook/${bake.id}`);
  return (
    <NuqsAdapter>
      <BenchPage bake={bake} nowMs={context.now().getTime()} />
    </NuqsAdapter>
  );
}
