import type { Metadata } from 'next';
import { cache } from 'react';
import { kitchenContext } from '@/server/kitchenContext';
import { knownId } from '@/server/knownId';
import { loadFormula } from '@/server/formulas';
import { orUnreadable } from '@/server/orUnreadable';
import { words } from '@/wording/screens/pages';

export interface SheetParams {
  readonly params: Promise<{ kitchen: string; id: string }>;
}

/** The formula that an address names; once for the frame, the place and the title. */
export const loadSheet = cache(async (kitchen: string, rawId: string) => {
  const id = knownId(rawId);
  const context = await kitchenContext(kitchen);
  return id && context ? orUnreadable(loadFormula(context, id)) : { value: null };
});

/** "Everyday loaf", "Everyday loaf: method". */
export async function sheetTitle({ params }: SheetParams, place?: string): Promise<Metadata> {
  const { kitchen, id } = await params;
  const found = await loadSheet(kitchen, id);
  const name = 'setAside' in found ? found.setAside.name : found.value?.formula.name;
  return { title: name && place ? `${name}: ${place}` : (name ?? words.notFound) };
}
