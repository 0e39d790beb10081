import type { Metadata } from 'next';
import Link from 'next/link';
import { redirect } from 'next/navigation';
import { RunningBakes } from '@/features/home/RunningBakes';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { bakesUnderWay } from '@/server/bakes';
import { currentContext } from '@/server/currentContext';
import { buttonClass } from '@/ui/Button';
import { placeOf, single, wordPlace, type Query } from '../addresses';

export const metadata: Metadata = { title: 'Bench' };

const PAGE = 20;

export default async function Page({ searchParams }: { searchParams: Promise<Query> }) {
  const context = await currentContext();
  const after = placeOf(single((await searchParams).after));
  const { bakes, setAside, next } = await bakesUnderWay(context, { after, most: PAGE });
  const [only] = bakes;
  if (only && bakes.length === 1 && !after && setAside.length === 0) redirect(`/bench/${only.id}`);
  return (
    <>
      <h1 className="mb-4 text-3xl">Bench</h1>
      <SetAsideNote setAside={setAside} />
      <RunningBakes bakes={bakes} nowMs={context.now().getTime()} />
      {next && (
        <Link href={`/bench?after=${wordPlace(next)}`} className={buttonClass('plain', 'table', 'mt-4')}>
          Begun earlier
        </Link>
      )}
    </>
  );
}
