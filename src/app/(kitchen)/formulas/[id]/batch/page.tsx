import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { BatchPage } from '@/features/batch/BatchPage';
import { currentContext } from '@/server/context';
import { loadFormula } from '@/server/formulas';
import { knownId } from '@/server/knownId';

export const metadata: Metadata = { title: 'Batch' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const id = knownId((await params).id);
  const loaded = id ? await loadFormula(context, id) : null;
  if (!loaded) notFound();
  return (
    <NuqsAdapter>
      <BatchPage key={loaded.revision} loaded={loaded} scales={context.kitchen.details.scales} />
    </NuqsAdapter>
  );
}
