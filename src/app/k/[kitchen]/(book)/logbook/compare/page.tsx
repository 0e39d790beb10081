import type { Metadata } from 'next';
import { ComparePage } from '@/features/compare/ComparePage';
import { loadBakes } from '@/server/bakeRecords';
import { knownId } from '@/server/knownId';
import { single, type Query } from '../../../addresses';
import { Book } from '../../../Book';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.compare };

/** So many lie side by side before nobody sees anything any more. */
const MOST = 6;

export default async function Page({
  params,
  searchParams,
}: KitchenParams & { searchParams: Promise<Query> }) {
  const asked = single((await searchParams).bakes)
    .split(',')
    .slice(0, MOST);
  const ids = [...new Set(asked.flatMap((id) => knownId(id) ?? []))];
  const context = await kitchenOf(params);
  const bakes = await loadBakes(context, ids);
  return (
    <Book context={context} holds={bakes}>
      <ComparePage bakes={bakes} />
    </Book>
  );
}
