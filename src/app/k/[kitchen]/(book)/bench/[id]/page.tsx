import { stateOf } from '@/core/bake';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { BenchPage } from '@/features/bench/BenchPage';
import { KitchenInstruments } from '@/features/instruments/InstrumentsProvider';
import { kitchenPlace } from '@/features/kitchen/place';
import { loadLife } from '@/server/day';
import { loadRising } from '@/server/rising';
import { Book } from '../../../Book';
import { bakeTitle, loadBakeOnce } from '../../../bakeTitle';
import { documentPage, type IdParams } from '../../../documentPage';
import { words } from '@/wording/screens/pages';

export const generateMetadata = (props: IdParams): Promise<Metadata> => bakeTitle(props, words.bench);

export default function Page(props: IdParams) {
  return documentPage(props, loadBakeOnce, async (bake, context) => {
    if (stateOf(bake).endedAtMs !== null)
      redirect(kitchenPlace(context.kitchen.address).page(`/logbook/${bake.id}`));
    const [{ value: life }, rising] = await Promise.all([loadLife(context), loadRising(context, bake)]);
    return (
      <Book context={context} holds={bake}>
        <NuqsAdapter>
          <KitchenInstruments>
            <BenchPage
              bake={bake}
              nowMs={context.now().getTime()}
              epoch={context.kitchen.epoch}
              shared={life.shared ?? null}
              rising={rising}
            />
          </KitchenInstruments>
        </NuqsAdapter>
      </Book>
    );
  });
}
