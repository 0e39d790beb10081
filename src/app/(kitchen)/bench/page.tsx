import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { RunningBakes } from '@/features/home/RunningBakes';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { runningBakes } from '@/server/bakes';
import { currentContext } from '@/server/context';

export const metadata: Metadata = { title: 'Bench' };

export default async function Page() {
  const context = await currentContext();
  const { bakes, setAside } = await runningBakes(context);
  const [only] = bakes;
  if (only && bakes.length === 1) redirect(`/bench/${only.id}`);
  return (
    <>
      <h1 className="mb-4 text-3xl">Bench</h1>
      <SetAsideNote setAside={setAside} />
      <RunningBakes bakes={bakes} nowMs={context.now().getTime()} />
    </>
  );
}
