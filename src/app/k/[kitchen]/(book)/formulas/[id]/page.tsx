import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { FormulaPage } from '@/features/formula/FormulaPage';
import { knownId } from '@/server/knownId';
import { UnreadablePage } from '@/features/shell/UnreadablePage';
import { orUnreadable } from '@/server/orUnreadable';
import { loadFormula } from '@/server/formulas';
import { kitchenContext } from '@/server/kitchenContext';

interface Props {
  params: Promise<{ kitchen: string; id: string }>;
}

const load = cache(async (kitchen: string, rawId: string) => {
  const id = knownId(rawId);
  const context = await kitchenContext(kitchen);
  return id && context ? orUnreadable(loadFormula(context, id)) : { value: null };
});

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { kitchen, id } = await params;
  const found = await load(kitchen, id);
  if ('setAside' in found) return { title: found.setAside.name ?? 'Not readable' };
  return { title: found.value?.formula.name ?? 'Not found' };
}

export default async function Page({ params }: Props) {
  const { kitchen, id } = await params;
  const found = await load(kitchen, id);
  if ('setAside' in found) return <UnreadablePage setAside={found.setAside} />;
  const loaded = found.value;
  if (!loaded) notFound();
  return <FormulaPage key={loaded.id} loaded={loaded} />;
}
