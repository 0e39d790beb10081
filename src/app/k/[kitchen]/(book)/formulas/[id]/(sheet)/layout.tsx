import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { FormulaFrame } from '@/features/formula/FormulaFrame';
import { UnreadablePage } from '@/features/shell/UnreadablePage';
import { Book } from '../../../../Book';
import { kitchenOf } from '../../../../kitchenOf';
import { loadSheet, type SheetParams } from './sheet';

/** One formula: its head, its answer card and its places share one sheet, so that going from one to another saves and loses nothing. */
export default async function SheetLayout({ params, children }: SheetParams & { children: ReactNode }) {
  const { kitchen, id } = await params;
  const found = await loadSheet(kitchen, id);
  if ('setAside' in found) return <UnreadablePage setAside={found.setAside} />;
  if (!found.value) notFound();
  const context = await kitchenOf(params);
  return (
    <Book context={context} holds={found.value.formula}>
      <FormulaFrame key={found.value.id} loaded={found.value}>
        {children}
      </FormulaFrame>
    </Book>
  );
}
