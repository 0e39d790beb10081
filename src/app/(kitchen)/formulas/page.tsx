import type { Metadata } from 'next';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { FormulaShelf } from '@/features/formula/FormulaShelf';
import { currentContext } from '@/server/context';
import { formulaCards } from '@/server/formulas';

export const metadata: Metadata = { title: 'Formulas' };

export default async function FormulasPage() {
  return (
    <NuqsAdapter>
      <FormulaShelf cards={await formulaCards(await currentContext())} />
    </NuqsAdapter>
  );
}
