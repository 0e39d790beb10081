import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { KitchenLink } from '@/features/kitchen/KitchenProvider';
import { kitchenPlace } from '@/features/kitchen/place';
import { RunningBakes } from '@/features/home/RunningBakes';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { bakesUnderWay } from '@/server/bakes';
import { buttonClass } from '@/ui/Button';
import { placeOf, single, wordPlace, type Query } from '../addresses';
import { kitchenOf, type KitchenParams } from '../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.bench };

const PAGE = 20;

export default async function Page({
  params,
  searchParams,
}: KitchenParams & { searchParams: Promise<Query> }) {
  const context = await kitchenOf(params);
  const after = placeOf(single((await searchParams).after));
  const { bakes, setAside, next } = await bakesUnderWay(context, { after, most: PAGE });
  const [only] = bakes;
  if (only && bakes.length === 1 && !after && setAside.length === 0)
    redirect(kitchenPlace(context.kitchen.address).page(`/bench/${only.id}`));
  return (
    <>
      <h1 className="mb-4 text-3xl">{words.bench}</h1>
      <SetAsideNote setAside={setAside} />
      <RunningBakes bakes={bakes} nowMs={context.now().getTime()} />
      {next && (
        <KitchenLink
          href={`/bench?after=${wordPlace(next)}`}
          className={buttonClass('plain', 'table', 'mt-4')}
        >
          {words.startedEarlier}
        </KitchenLink>
      )}
    </>
  );
}
