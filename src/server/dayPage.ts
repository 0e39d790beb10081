import { isRunning, sheetNow, stateOf, stockOf } from '@/core/bake';
import { formulaKey, type BakeProgress, type DayFormula, type ToAdd } from '@/core/day/kitchenDay';
import { piecesOut } from '@/core/day/piecesOut';
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
      const state = stateOf(found.value);
      const { startedAtMs, endedAtMs, steps } = state;
      const calls = Object.fromEntries(
        [...steps].map(([stepId, { doneAtMs, skippedAtMs, timer }]) => [stepId, { startMs: timer?.startedAtMs ?? null, doneMs: doneAtMs ?? skippedAtMs, ...(isRunning(timer) && { untilMs: timer.startedAtMs + 1000 * timer.durationS }) }]),
      );
      return [[id, { sheet: sheetNow(sheet, state), startedMs: startedAtMs, endedMs: endedAtMs, calls } satisfies BakeProgress]];
    }),
  );
} // prettier-ignore

/** What is sent to the page of a day: a formula, or what a bake put by. */
export type SentHere = { readonly formulaId: string } | { readonly bakeId: string; readonly wayId: string };

/** A formula as it is now; what was put by with the formula it was made by. Null: it is gone, or there is nothing left of it. */
async function toAdd(context: Context, sent: SentHere, { batches }: DayDocument): Promise<ToAdd | null> {
  const { pool, kitchen } = context;
  if ('formulaId' in sent) {
    const head = await orUnreadable(findFormula(pool, kitchen.id, sent.formulaId));
    if ('setAside' in head || !head.value) return null;
    const { id, revision, formula } = head.value;
    return { formulaId: id, revision, formula };
  }
  const { bakeId, wayId } = sent;
  const bake = await orUnreadable(loadBake(context, bakeId));
  if ('setAside' in bake || !bake.value) return null;
  const { formulaId, revision, sheet } = bake.value;
  const stock = stockOf(sheet, stateOf(bake.value)).find((each) => each.wayId === wayId);
  const made = await orUnreadable(findRevision(pool, kitchen.id, formulaId, revision));
  // what other batches are going to take out is theirs
  const spoken = batches.filter(({ takenOut, progress }) => takenOut?.bakeId === bakeId && takenOut.wayId === wayId && Object.keys(progress).length === 0);
  const leftPieces = (stock?.leftPieces ?? 0) - spoken.reduce((sum, batch) => sum + piecesOut(batch), 0);
  if (!stock || leftPieces <= 0 || 'setAside' in made || !made.value) return null;
  const { as, madeAtMs, bestByMs } = stock;
  return { formulaId, revision, formula: made.value.formula, takenOut: { bakeId, wayId, as, leftPieces, madeAtMs, bestByMs } };
} // prettier-ignore

/** All that the page of a day is made of: each formula at the revision its batch was put there with, and what is to be added. */
export async function dayPageData(context: Context, sent: SentHere | null): Promise<DayPageData & { readonly add: ToAdd | null }> {
  const { pool, kitchen } = context;
  const [day, life, starters] = await Promise.all([loadDay(context), loadLife(context), loadStarters(context)]);
  const wanted = new Map(day.value.batches.map((batch) => [formulaKey(batch), batch]));
  const [found, bakes, add] = await Promise.all([
    Promise.all(
      [...wanted.values()].map(async ({ formulaId, revision }) => {
        const read = await orUnreadable(findRevision(pool, kitchen.id, formulaId, revision));
        return 'setAside' in read || !read.value ? [] : [{ formulaId, revision, formula: read.value.formula }];
      }),
    ),
    dayBakes(context, day.value),
    sent && toAdd(context, sent, day.value),
  ]);
  return { day, life, bakes, add, starters, feeds: feedsOn(context, starters.value, life.value, day.value), formulas: found.flat() };
} // prettier-ignore
