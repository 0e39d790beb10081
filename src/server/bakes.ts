import { afterEvent, bakeState, decide, type BakeEvent, type BakeRecord } from '@/core/bake';
import { planBatch, type BatchRequest } from '@/core/batch';
import type { Problem } from '@/core/result';
import type { Tap } from '@/core/requests';
import { databaseFailure } from '@/db/errors';
import {
  findBake,
  findBakeByRequest,
  insertBake,
  insertEvents,
  listEndedBakes,
  listEvents,
  listRunningBakes,
  lockBake,
  type BakeEventRow,
  type BakeRow,
  type NewEvent,
} from '@/db/queries/bakes';
import { findRevision } from '@/db/queries/formulas';
import { transaction } from '@/db/transaction';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';

const eventOf = ({ seq, atMs, action }: BakeEventRow): BakeEvent => ({ seq, atMs, action });

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
  const byBake = new Map<string, BakeEvent[]>(bakes.map((bake) => [bake.id, []]));
  for (const event of events) byBake.get(event.bakeId)?.push(eventOf(event));
  return bakes.map((bake) => ({ ...bake, events: byBake.get(bake.id) ?? [] }));
}

export async function loadBake(context: Context, id: string): Promise<BakeRecord | null> {
  const bake = await findBake(context.pool, context.kitchen.id, id);
  return bake ? ((await withEvents(context, [bake]))[0] ?? null) : null;
}

export const runningBakes = async (context: Context): Promise<BakeRecord[]> =>
  withEvents(context, await listRunningBakes(context.pool, context.kitchen.id));

export const endedBakes = async (
  context: Context,
  filter: { formulaId?: string | null; beforeMs?: number | null; most: number },
): Promise<BakeRecord[]> =>
  withEvents(
    context,
    await listEndedBakes(context.pool, context.kitchen.id, {
      formulaId: filter.formulaId ?? null,
      before: filter.beforeMs ? new Date(filter.beforeMs) : null,
      most: filter.most,
    }),
  );

/** Starts a bake: scales that very revision again on the server and keeps the sheet with the bake. Repeatable. */
export async function startBake(
  { pool, kitchen, book, now, newId }: Context,
  start: { requestId: string; formulaId: string; revision: number; batch: BatchRequest },
): Promise<Done<{ id: string }>> {
  const earlier = await findBakeByRequest(pool, kitchen.id, start.requestId);
  if (earlier) return done(earlier);
  const revision = await findRevision(pool, kitchen.id, start.formulaId, start.revision);
  if (!revision) return failed({ kind: 'notFound' });
  const sheet = planBatch(revision.formula, start.batch, kitchen.details.scales, await book());
  if (!sheet.ok) return invalid(sheet.problem);
  const id = newId();
  try {
    await insertBake(pool, { kitchenId: kitchen.id, id, ...start, sheet: sheet.value, startedAt: now() });
    return done({ id });
  } catch (error) {
    const first =
      databaseFailure(error) === 'duplicate'
        ? await findBakeByRequest(pool, kitchen.id, start.requestId)
        : null;
    if (first) return done(first);
    throw error;
  }
}

export interface TapResult {
  readonly eventId: string;
  readonly problem: Problem | null;
}

/**
 * Appends what happened at the bench, in order, each tap at most once. The server's clock dates it; a tap that waited is
 * dated back by its wait, but never before the event ahead of it. A tap that can no longer be (the line was already
 * ticked on the other tablet) is answered with its reason and not kept; the others are.
 *
 * @returns per tap whether it was kept, and the bake's whole log afterwards
 */
export async function recordTaps(
  { pool, kitchen, book, now }: Context,
  bakeId: string,
  taps: readonly Tap[],
): Promise<Done<{ results: TapResult[]; events: BakeEvent[]; nowMs: number }>> {
  // before the transaction: a second connection must never be waited for while one is held
  const ingredients = await book();
  return transaction(pool, async (client) => {
    const bake = await lockBake(client, kitchen.id, bakeId);
    if (!bake) return failed({ kind: 'notFound' });
    const kept = await listEvents(client, kitchen.id, [bakeId]);
    const known = new Set(kept.map((event) => event.eventId));
    const events = kept.map(eventOf);
    let state = bakeState(bake.startedAtMs, events);
    const nowMs = now().getTime();
    const fresh: NewEvent[] = [];
    const results: TapResult[] = [];
    for (const { eventId, agoMs, action } of taps) {
      if (known.has(eventId)) {
        results.push({ eventId, problem: null });
        continue;
      }
      const allowed = decide(bake.sheet, state, action, ingredients);
      if (!allowed.ok) {
        results.push({ eventId, problem: allowed.problem });
        continue;
      }
      const lastMs = events.at(-1)?.atMs ?? bake.startedAtMs;
      const event = { seq: state.lastSeq + 1, atMs: Math.max(lastMs, nowMs - agoMs), action };
      known.add(eventId);
      events.push(event);
      state = afterEvent(state, event);
      fresh.push({ eventId, seq: event.seq, action, at: new Date(event.atMs) });
      results.push({ eventId, problem: null });
    }
    await insertEvents(client, kitchen.id, bakeId, fresh);
    return done({ results, events, nowMs });
  });
}
