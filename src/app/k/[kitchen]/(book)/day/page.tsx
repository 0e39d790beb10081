import type { Metadata } from 'next';
import { DayPage } from '@/features/day/DayPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { dayPageData, type SentHere } from '@/server/dayPage';
import { knownId } from '@/server/knownId';
import { Book } from '../../Book';
import { kitchenOf, type KitchenParams } from '../../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.theDay };

interface DayParams extends KitchenParams {
  /** A formula that is to be put on the day, or a bake of which something was put by, and what. */
  readonly searchParams: Promise<{
    add?: string | string[];
    take?: string | string[];
    way?: string | string[];
  }>;
}

function sentHere({ add, take, way }: Awaited<DayParams['searchParams']>): SentHere | null {
  const bakeId = typeof take === 'string' ? knownId(take) : null;
  if (bakeId && typeof way === 'string') return { bakeId, wayId: way };
  const formulaId = typeof add === 'string' ? knownId(add) : null;
  return formulaId === null ? null : { formulaId };
}

export default async function Page({ params, searchParams }: DayParams) {
  const context = await kitchenOf(params);
  const { day, life, ...data } = await dayPageData(context, sentHere(await searchParams));
  const setAside = [day.setAside, life.setAside, data.starters.setAside].filter((each) => each !== undefined);
  return (
    <Book context={context} holds={[data.formulas, data.add]}>
      <SetAsideNote setAside={setAside} />
      <DayPage day={day} life={life} {...data} nowMs={context.now().getTime()} />
    </Book>
  );
}
