import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { wallField } from '@/core/day/dayEdit';
import { LabelsPage } from '@/features/orders/LabelsPage';
import { dayPageData } from '@/server/dayPage';
import { Book } from '../../Book';
import { kitchenOf, type KitchenParams } from '../../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.labels };

interface LabelParams extends KitchenParams {
  readonly searchParams: Promise<{ batch?: string | string[] }>;
}

export default async function Page({ params, searchParams }: LabelParams) {
  const context = await kitchenOf(params);
  const { batch: wanted } = await searchParams;
  const { day, formulas } = await dayPageData(context, null);
  const batch = day.value.batches.find(({ id }) => id === wanted);
  const formula = formulas.find(
    ({ formulaId, revision }) => formulaId === batch?.formulaId && revision === batch.revision,
  )?.formula;
  if (!batch || !formula) notFound();
  const ends = Object.values(batch.at).map(({ endMs }) => endMs);
  const bakedMs = ends.length > 0 ? Math.max(...ends) : context.now().getTime();
  const lot = `${wallField(context.kitchen.details.timeZone, bakedMs).slice(2, 10).replaceAll('-', '')}-${batch.id.slice(0, 4)}`;
  return (
    <Book context={context} holds={formula}>
      <LabelsPage batch={batch} formula={formula} lot={lot} bakedMs={bakedMs} />
    </Book>
  );
}
