import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { BatchPage } from '@/features/batch/BatchPage';
import { UnreadablePage } from '@/features/shell/UnreadablePage';
import { currentContext } from '@/server/context';
import { orUnreadable } from '@/server/orUnreadable';
import { loadFormula } from '@/server/formulas';
import { loadKit } from '@/server/kit';
import { knownId } from '@/server/knownId';

export const metadata: Metadata = { title: 'Batch' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const id = knownId((await params).id);
  const found = id ? await orUnreadable(loadFormula(context, id)) : null;
  if (found && 'setAside' in found) return <UnreadablePage setAside={found.setAside} />;
  const loaded = found?.value ?? null;
  if (!loaded) notFound();
  return (
    <NuqsAdapter>
      <BatchPage key={loaded.revision} loaded={loaded} scales={(await loadKit(context)).kit.scales} />
    </NuqsAdapter>
  );
}
