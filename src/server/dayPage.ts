import { stateOf } from '@/core/bake';
import { formulaKey, type BakeProgress, type DayFormula } from '@/core/day/kitchenDay';
import type { DayDocument } from '@/core/day/dayDocument';
import { findFormula, findRevision } from '@/db/queries/formulas';
import { loadBake } from './bakeRecords';
import type { Context } from './context';
import { loadDay, loadLife, type StoredDay, type StoredLife } from './day';
import { orUnreadable } from './orUnreadable';
import { feedsOn, loadStarters, type StoredStarters } from './starters';
import type { FeedDue } from '@/core/starter/feedsDue';

interface DayPageData {
  readonly day: StoredDay;
  readonly life: StoredLife;
  readonly formulas: readonly DayFormula[];
  readonly bakes: Readonly<Record<string, BakeProgress>>;
  readonly starters: StoredStarters;
  /** When they are fed next. */
  readonly feeds: readonly FeedDue[];
}

/** How far the bakes are that were begun from a day; one that cannot be read, or is gone, is left out. */
export async function dayBakes(context: Context, { batches }: DayDocument): Promise<DayPageData['bakes']> {
  const ids = batches.flatMap(({ bakeId }) => (bakeId === null ? [] : [bakeId]));
  const records = await Promise.all(ids.map((id) => orUnreadable(loadBake(context, id))));
  return Object.fromEntries(
    records.flatMap((found) => {
      if ('setAside' in found || !found.value) return [];
      const { id, sheet } = found.value;
      const { startedAtMs, endedAtMs, steps } = stateOf(found.value);
      const calls = Object.fromEntries(
        [...steps].map(([stepId, { doneAtMs, timer }]) => [stepId, { startMs: timer?.startedAtMs ?? null, doneMs: doneAtMs }]),
      );
      return [[id, { sheet, startedMs: startedAtMs, endedMs: endedAtMs, calls } satisfies BakeProgress]];
    }),
  );
} // prettier-ignore

/** All that the page of a day is made of: each formula at the revision its batch was put there with, and one that is to be added as it is now. */
export async function dayPageData(context: Context, addId: string | null): Promise<DayPageData & { readonly add: DayFormula | null }> {
  const { pool, kitchen } = context;
  const [day, life, starters] = await Promise.all([loadDay(context), loadLife(context), loadStarters(context)]);
  const wanted = new Map(day.value.batches.map((batch) => [formulaKey(batch), batch]));
  const [found, bakes, head] = await Promise.all([
    Promise.all(
      [...wanted.values()].map(async ({ formulaId, revision }) => {
        const read = await orUnreadable(findRevision(pool, kitchen.id, formulaId, revision));
        return 'setAside' in read || !read.value ? [] : [{ formulaId, revision, formula: read.value.formula }];
      }),
    ),
    dayBakes(context, day.value),
    addId === null ? null : orUnreadable(findFormula(pool, kitchen.id, addId)),
  ]);
  const add = !head || 'setAside' in head || !head.value ? null : { formulaId: head.value.id, revision: head.value.revision, formula: head.value.formula };
  return { day, life, bakes, add, starters, feeds: feedsOn(context, starters.value, life.value, day.value), formulas: found.flat() };
} // prettier-ignore
