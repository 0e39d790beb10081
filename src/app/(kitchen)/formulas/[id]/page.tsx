import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { FormulaPage } from '@/features/formula/FormulaPage';
import { knownId } from '@/server/knownId';
import { currentContext } from '@/server/context';
import { loadFormula } from '@/server/formulas';

interface Props {
  params: Promise<{ id: string }>;
}

const load = cache(async (rawId: string) => {
  const id = knownId(rawId);
  return id ? loadFormula(await currentContext(), id) : null;
});

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await load((await params).id))?.formula.name ?? 'Not found' };
}

export default async function Page({ params }: Props) {
  const loaded = await load((await params).id);
  if (!loaded) notFound();
  return <FormulaPage key={loaded.id} loaded={loaded} />;
}
