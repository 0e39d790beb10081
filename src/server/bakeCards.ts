import { bakeCard, bakeState, cutsRead, runningCard, type BakeState } from '@/core/bake';
import { deleteUnderWay, listWithoutCard, upsertCard, upsertUnderWay } from '@/db/queries/bakeCards';
import {
  listEvents,
  lockAnyBake,
  type BakeEventRow,
  type BakeRow,
  type UnreadableBake,
} from '@/db/queries/bakes';
import type { Queryable } from '@/db/rows';
import { transaction } from '@/db/transaction';
import type pg from 'pg';
import { cardOvens } from './cardOvens';

/** What of a log this program can read; the rest stays where it is. */
export const readable = (rows: readonly BakeEventRow[]) =>
  rows.flatMap(({ seq, atMs, action, by }) =>
    action ? [{ seq, atMs, action, ...(by !== null && { by }) }] : [],
  );

/** Writes what lists show of a bake, after whatever changed it and in the same transaction. */
export async function saveCard(
  db: Queryable,
  kitchenId: string,
  bake: BakeRow | UnreadableBake,
  state: BakeState,
): Promise<void> {
  const { id: bakeId, formulaId, startedAtMs } = bake;
  const { endedAtMs, lastSeq } = state;
  const sheet = 'sheet' in bake ? bake.sheet : null;
  await upsertCard(db, kitchenId, {
    bakeId,
    formulaId,
    startedAtMs,
    card:
      'sheet' in bake
        ? bakeCard(bake.sheet, state)
        : { endedAtMs, name: bake.name, unreadableVersion: bake.unreadableVersion },
    lastSeq,
    rises: state.rises.length,
    feels: state.feelings.length,
    cuts: cutsRead(state),
  });
  if (endedAtMs !== null) return deleteUnderWay(db, kitchenId, bakeId);
  const card = sheet && runningCard({ id: bakeId, sheet }, state, await cardOvens(db, kitchenId, sheet));
  await upsertUnderWay(db, kitchenId, { bakeId, startedAtMs }, card);
}

const AT_ONCE = 100;

/**
 * Makes the cards that are missing or were made by older rules: after an update, or of a backup from before there were any. What is
 * stored of a bake is never changed by it.
 * @returns how many were made
 */
export async function renewCards(pool: pg.Pool): Promise<number> {
  for (let made = 0; ; made += AT_ONCE) {
    const behind = await listWithoutCard(pool, AT_ONCE);
    if (behind.length > 0)
      await transaction(pool, async (client) => {
        for (const { kitchenId, id } of behind) await renewCard(client, kitchenId, id);
      });
    if (behind.length < AT_ONCE) return made + behind.length;
  }
}

async function renewCard(db: Queryable, kitchenId: string, id: string): Promise<void> {
  const bake = await lockAnyBake(db, kitchenId, id);
  if (!bake) return;
  const events = readable(await listEvents(db, kitchenId, [id]));
  await saveCard(db, kitchenId, bake, bakeState(bake.startedAtMs, events));
}
