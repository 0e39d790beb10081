import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { FormulaPage } from '@/features/formula/FormulaPage';
import { knownId } from '@/server/knownId';
import { UnreadablePage } from '@/features/shell/UnreadablePage';
import { currentContext } from '@/server/currentContext';
import { orUnreadable } from '@/server/orUnreadable';
import { loadFormula } from '@/server/formulas';

interface Props {
  params: Promise<{ id: string }>;
}

const load = cache(async (rawId: string) => {
  const id = knownId(rawId);
  return id ? orUnreadable(loadFormula(await currentContext(), id)) : { value: null };
});

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const found = await load((await params).id);
  if ('setAside' in found) return { title: found.setAside.name ?? 'Not readable' };
  return { title: found.value?.formula.name ?? 'Not found' };
}

export default async function Page({ params }: Props) {
  const found = await load((await params).id);
  if ('setAside' in found) return <UnreadablePage setAside={found.setAside} />;
  const loaded = found.value;
  if (!loaded) notFound();
  return <FormulaPage key={loaded.id} loaded={loaded} />;
}
