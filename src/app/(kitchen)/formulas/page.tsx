import type { Metadata } from 'next';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { FormulaShelf } from '@/features/formula/FormulaShelf';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { currentContext } from '@/server/context';
import { formulaCards } from '@/server/formulas';

export const metadata: Metadata = { title: 'Formulas' };

export default async function FormulasPage() {
  const { cards, setAside } = await formulaCards(await currentContext());
  return (
    <NuqsAdapter>
      <SetAsideNote setAside={setAside} />
      <FormulaShelf cards={cards} />
    </NuqsAdapter>
  );
}
