import { afterEvent, bakeState, decide, type BakeAction, type BakeEvent, type BakeRecord } from '@/core/bake';
import type { SetAside } from '@/core/documents';
import type { IngredientBook } from '@/core/ingredients';
import { planBatch, type BatchRequest } from '@/core/batch';
import type { Problem } from '@/core/result';
import type { Tap } from '@/core/requests';
import { databaseFailure } from '@/db/errors';
import {
  findBake,
  findBakeByRequest,
  findEventIds,
  insertBake,
  insertEvents,
  listEndedBakes,
  listEvents,
  listRunningBakes,
  lockBake,
  type BakeEventRow,
  type BakePlace,
  type BakeRow,
  type NewEvent,
} from '@/db/queries/bakes';
import { findRevision } from '@/db/queries/formulas';
import { transaction } from '@/db/transaction';
import type { Queryable } from '@/db/rows';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';
import { loadKit } from './kit';
import { sameContent } from './sameContent';

export type { BakePlace };

/** What of a log this program can read; the rest stays where it is. */
const readable = (rows: readonly BakeEventRow[]): BakeEvent[] =>
  rows.flatMap(({ seq, atMs, action }) => (action ? [{ seq, atMs, action }] : []));

export async function withEvents(
  { pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>,
  bakes: readonly BakeRow[],
): Promise<BakeRecord[]> {
  if (bakes.length === 0) return [];
  const events = await listEvents(
    pool,
    kitchen.id,
    bakes.map((bake) => bake.id),
  );
  const byBake = new Map<string, BakeEventRow[]>(bakes.map((bake) => [bake.id, []]));
  for (const event of events) byBake.get(event.bakeId)?.push(event);
  return bakes.map((bake) => {
    const rows = byBake.get(bake.id) ?? [];
    const read = readable(rows);
    return {
      ...bake,
      events: read,
      ...(read.length < rows.length && { unreadable: rows.length - read.length }),
    };
  });
}

/** @throws UnreadableDocument */
export async function loadBake(context: Context, id: string): Promise<BakeRecord | null> {
  const bake = await findBake(context.pool, context.kitchen.id, id);
  return bake ? ((await withEvents(context, [bake]))[0] ?? null) : null;
}

/** Bakes with their logs, and notes of those that cannot be read. */
export interface Bakes {
  readonly bakes: BakeRecord[];
  readonly setAside: SetAside[];
}

export async function runningBakes(context: Context): Promise<Bakes> {
  const { rows, setAside } = await listRunningBakes(context.pool, context.kitchen.id);
  return { bakes: await withEvents(context, rows), setAside };
}

/** @returns a page of them, and where the next begins if there is one */
export async function endedBakes(
  context: Context,
  filter: { formulaId?: string | null; after?: BakePlace | null; most: number },
): Promise<Bakes & { next: BakePlace | null }> {
  const { formulaId = null, after = null, most } = filter;
  const page = await listEndedBakes(context.pool, context.kitchen.id, { formulaId, after, most });
  const bakes = await withEvents(context, page.rows);
  return { bakes, setAside: page.setAside, next: page.next };
}

/** Starts a bake: scales that very revision again on the server and keeps the sheet with the bake. Repeatable. */
export async function startBake(
  context: Context,
  start: { requestId: string; formulaId: string; revision: number; batch: BatchRequest },
): Promise<Done<{ id: string }>> {
  const { pool, kitchen, book, now, newId } = context;
  const again = async (): Promise<Done<{ id: string }> | null> => {
    const found = await findBakeByRequest(pool, kitchen.id, start.requestId, start);
    return found && (found.same ? done({ id: found.id }) : failed({ kind: 'otherContent' }));
  };
  const earlier = await again();
  if (earlier) return earlier;
  const revision = await findRevision(pool, kitchen.id, start.formulaId, start.revision);
  if (!revision) return failed({ kind: 'notFound' });
  const sheet = planBatch(revision.formula, start.batch, (await loadKit(context)).kit.scales, await book());
  if (!sheet.ok) return invalid(sheet.problem);
  const id = newId();
  try {
    await insertBake(pool, { kitchenId: kitchen.id, id, ...start, sheet: sheet.value, startedAt: now() });
    return done({ id });
  } catch (error) {
    const first = databaseFailure(error) === 'duplicate' ? await again() : null;
    if (first) return first;
    throw error;
  }
}

export interface TapResult {
  readonly eventId: string;
  readonly problem: Problem | null;
}

/** The answer to taps: what became of each, and the bake's log afterwards. */
export interface TapsTaken {
  readonly results: TapResult[];
  readonly events: BakeEvent[];
  readonly nowMs: number;
}

/**
 * Appends what happened at the bench, in order, each tap at most once. The server's clock dates it; a tap that waited is
 * dated back by its wait, but never before the event ahead of it. A tap that can no longer be (the line was already
 * ticked on the other tablet) is answered with its reason and not kept; the others are. So is one whose id came before with something
 * else, or in another bake.
 *
 * @returns per tap whether it was kept, and the bake's whole log afterwards
 */
export async function recordTaps(
  { pool, kitchen, book, now }: Context,
  bakeId: string,
  taps: readonly Tap[],
): Promise<Done<TapsTaken>> {
  // before the transaction: a second connection must never be waited for while one is held
  const ingredients = await book();
  try {
    return await transaction(pool, (client) =>
      takeTaps(client, kitchen.id, bakeId, taps, ingredients, now()),
    );
  } catch (error) {
    // an id that another bake was just being given: now it can be seen there
    if (databaseFailure(error) !== 'duplicate') throw error;
    return transaction(pool, (client) => takeTaps(client, kitchen.id, bakeId, taps, ingredients, now()));
  }
}

async function takeTaps(
  client: Queryable,
  kitchenId: string,
  bakeId: string,
  taps: readonly Tap[],
  book: IngredientBook,
  now: Date,
): Promise<Done<TapsTaken>> {
  const bake = await lockBake(client, kitchenId, bakeId);
  if (!bake) return failed({ kind: 'notFound' });
  const rows = await listEvents(client, kitchenId, [bakeId]);
  const kept = new Map<string, BakeAction | null>(rows.map(({ eventId, action }) => [eventId, action]));
  const elsewhere = new Set(
    (
      await findEventIds(
        client,
        kitchenId,
        taps.map(({ eventId }) => eventId),
      )
    )
      .filter((each) => each.bakeId !== bakeId)
      .map(({ eventId }) => eventId),
  );
  const events = readable(rows);
  let state = bakeState(bake.startedAtMs, events);
  let seq = rows.at(-1)?.seq ?? 0;
  let lastMs = rows.at(-1)?.atMs ?? bake.startedAtMs;
  const fresh: NewEvent[] = [];
  const results: TapResult[] = [];
  for (const { eventId, agoMs, action } of taps) {
    const before = kept.get(eventId);
    if (elsewhere.has(eventId) || (before !== undefined && !sameContent(before, action))) {
      results.push({ eventId, problem: { code: 'otherContent', path: 'eventId' } });
      continue;
    }
    if (before !== undefined) {
      results.push({ eventId, problem: null });
      continue;
    }
    const allowed = decide(bake.sheet, state, action, book);
    if (!allowed.ok) {
      results.push({ eventId, problem: allowed.problem });
      continue;
    }
    seq += 1;
    lastMs = Math.max(lastMs, now.getTime() - agoMs);
    const event = { seq, atMs: lastMs, action };
    kept.set(eventId, action);
    events.push(event);
    state = afterEvent(state, event);
    fresh.push({ eventId, seq, action, at: new Date(lastMs) });
    results.push({ eventId, problem: null });
  }
  await insertEvents(client, kitchenId, bakeId, fresh);
  return done({ results, events, nowMs: now.getTime() });
}
