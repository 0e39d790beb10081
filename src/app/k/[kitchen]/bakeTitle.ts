import type { Metadata } from 'next';
import { cache } from 'react';
import { loadBake } from '@/server/bakeRecords';
import { kitchenContext } from '@/server/kitchenContext';
import { knownId } from '@/server/knownId';
import { orUnreadable } from '@/server/orUnreadable';
import type { IdParams } from './documentPage';

/** A bake, read once for the page and its title. */
export const loadBakeOnce = cache(loadBake);

/** "Everyday loaf: bench": a page of a bake is called by what is baked. */
export async function bakeTitle({ params }: IdParams, place: string): Promise<Metadata> {
  const { kitchen, id: rawId } = await params;
  const id = knownId(rawId);
  const context = id ? await kitchenContext(kitchen) : null;
  const found = id && context ? await orUnreadable(loadBakeOnce(context, id)) : null;
  const name = found && 'value' in found ? found.value?.sheet.name : undefined;
  return { title: name ? `${name}: ${place}` : place };
}
