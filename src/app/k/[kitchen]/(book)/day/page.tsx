import type { Metadata } from 'next';
import { DayPage } from '@/features/day/DayPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { dayPageData } from '@/server/dayPage';
import { knownId } from '@/server/knownId';
import { Book } from '../../Book';
import { kitchenOf, type KitchenParams } from '../../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.theDay };

interface DayParams extends KitchenParams {
  /** A formula that is to be put on the day. */
  readonly searchParams: Promise<{ add?: string | string[] }>;
}

export default async function Page({ params, searchParams }: DayParams) {
  const context = await kitchenOf(params);
  const { add } = await searchParams;
  const { day, life, ...data } = await dayPageData(context, typeof add === 'string' ? knownId(add) : null);
  const setAside = [day.setAside, life.setAside, data.starters.setAside].filter((each) => each !== undefined);
  return (
    <Book context={context} holds={[data.formulas, data.add]}>
      <SetAsideNote setAside={setAside} />
      <DayPage day={day} life={life} {...data} nowMs={context.now().getTime()} />
    </Book>
  );
}
