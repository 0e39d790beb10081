import type { Metadata } from 'next';
import { LogbookPage } from '@/features/logbook/LogbookPage';
import { SetAsideNote } from '@/features/shell/SetAsideNote';
import { SCORES_ASKED, TOLD_ASKED } from '@/core/bake';
import { dayMs } from '@/core/day/dayEdit';
import { logbook } from '@/server/bakes';
import { formulaName } from '@/server/formulas';
import { knownId } from '@/server/knownId';
import { knownLot } from '@/server/knownLot';
import { wordsOf } from '@/server/wordsOf';
import { placeOf, single, wordPlace, type Query } from '../addresses';
import { kitchenOf, type KitchenParams } from '../kitchenOf';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = { title: words.logbook };

const PAGE = 30;
const AGAIN = ['yes', 'changed', 'no', 'givenUp'] as const;

export default async function Page({
  params,
  searchParams,
}: KitchenParams & { searchParams: Promise<Query> }) {
  const query = await searchParams;
  const find = single(query.find).slice(0, 80);
  const again = AGAIN.find((each) => each === single(query.again)) ?? null;
  const order = single(query.order) === 'oldest' ? 'oldest' : 'newest';
  const after = placeOf(single(query.after));
  const score = SCORES_ASKED.find(({ id }) => id === single(query.score)) ?? null;
  const told = TOLD_ASKED.find((each) => each === single(query.told)) ?? null;
  const formulaId = knownId(single(query.formula));
  const context = await kitchenOf(params);
  const { timeZone } = context.kitchen.details;
  const [since, until] = [single(query.since), single(query.until)];
  const sinceMs = dayMs(timeZone, since);
  const untilMs = dayMs(timeZone, until, 1);
  const lot = await knownLot(context, single(query.lot));
  const [{ lines, setAside, next }, name] = await Promise.all([
    logbook(context, {
      formulaId,
      lot: lot?.id ?? null,
      words: wordsOf(find),
      again,
      sinceMs,
      untilMs,
      score,
      told,
      order,
      after,
      most: PAGE,
    }),
    formulaId ? formulaName(context, formulaId) : null,
  ]);
  return (
    <>
      <SetAsideNote setAside={setAside} />
      <LogbookPage
        lines={lines}
        query={{
          find,
          again,
          // a day that is none asks for nothing
          since: sinceMs === null ? '' : since,
          until: untilMs === null ? '' : until,
          score: score && score.id,
          told,
          order,
          lot,
          formula: formulaId === null ? null : { id: formulaId, name: name ?? words.oneFormula },
        }}
        next={wordPlace(next)}
        further={after !== null}
      />
    </>
  );
}
