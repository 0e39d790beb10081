import type { Metadata } from 'next';
import { PatternsPage } from '@/features/patterns/PatternsPage';
import { formulaName } from '@/server/formulas';
import { knownId } from '@/server/knownId';
import { patternsOf } from '@/server/patterns';
import { single, type Query } from '../../../addresses';
import { kitchenOf, type KitchenParams } from '../../../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.patterns };

export default async function Page({
  params,
  searchParams,
}: KitchenParams & { searchParams: Promise<Query> }) {
  const formulaId = knownId(single((await searchParams).formula));
  const context = await kitchenOf(params);
  const [patterns, name] = await Promise.all([
    patternsOf(context, formulaId),
    formulaId ? formulaName(context, formulaId) : null,
  ]);
  return <PatternsPage {...patterns} formula={formulaId ? (name ?? words.oneFormula) : null} />;
}
