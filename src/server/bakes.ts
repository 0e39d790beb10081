import {
  afterEvent,
  bakeState,
  decide,
  stockOf,
  type BakeAction,
  type BakeEvent,
  type RunningCard,
} from '@/core/bake';
import { BAKE_PLAN, type SetAside } from '@/core/documents';
import type { IngredientBook } from '@/core/ingredients';
import { leverOf, withLever } from '@/core/day/levers';
import type { Formula } from '@/core/formula';
import { roomOf, runKitchenOf, type Kit } from '@/core/kit';
import { ladderFormula, rungCodes, type LadderWish } from '@/core/trial';
import { planBatch, type BatchRequest, type BatchSheet } from '@/core/batch';
import { ok, refuse, type Problem, type Result } from '@/core/result';
import type { Tap } from '@/core/requests';
import { databaseFailure } from '@/db/errors';
import { listUnderWay, type BakePlace } from '@/db/queries/bakeCards';
import { listLogbook, type LogbookFilter, type LogbookPage } from '@/db/queries/logbookLines';
import {
  findBakeByRequest,
  findEventIds,
  hasBake,
  insertBake,
  insertEvents,
  listEvents,
  listNewEvents,
  lockBake,
  type NewEvent,
} from '@/db/queries/bakes';
import { findRevision } from '@/db/queries/formulas';
import { listStock, type BakeStock } from '@/db/queries/stock';
import { transaction } from '@/db/transaction';
import type { Queryable } from '@/db/rows';
import { saveCard, readable } from './bakeCards';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';
import { bakeForecast } from './forecasts';
import { loadKit } from './kit';
import { renewLearnt } from './learnt';
import { sameContent } from './sameContent';

export type { BakePlace };

/** What is new in a bake's log. */
export interface BakeNews {
  /** Events after the number that was asked from. */
  readonly events: BakeEvent[];
  /** Which data these are: under another one a log known from before does not hold. */
  readonly epoch: string;
  readonly nowMs: number;
}

/** @param after number of the newest event the asker knows; 0: none */
export async function bakeNews(
  { pool, kitchen, now }: Context,
  id: string,
  after: number,
): Promise<BakeNews | null> {
  const [known, rows] = await Promise.all([
    hasBake(pool, kitchen.id, id),
    listNewEvents(pool, kitchen.id, id, after),
  ]);
  return known ? { events: readable(rows), epoch: kitchen.epoch, nowMs: now().getTime() } : null;
}

/** A page of what is under way, newest first. */
export async function bakesUnderWay(
  { pool, kitchen }: Context,
  page: { after: BakePlace | null; most: number },
): Promise<{ bakes: RunningBake[]; setAside: SetAside[]; next: BakePlace | null }> {
  const { rows, next } = await listUnderWay(pool, kitchen.id, page);
  return {
    bakes: rows.flatMap(({ card, ...row }) => (card ? [{ ...row, ...card }] : [])),
    setAside: rows
      .filter(({ card }) => card === null)
      .map(({ id }) => ({ kind: BAKE_PLAN.name, id, name: null, version: BAKE_PLAN.version, newer: false })),
    next,
  };
}

/** A bake under way as a list shows it. */
export interface RunningBake extends RunningCard {
  readonly id: string;
  readonly startedAtMs: number;
}

/** A page of the logbook, newest first. */
export const logbook = ({ pool, kitchen }: Context, filter: LogbookFilter): Promise<LogbookPage> =>
  listLogbook(pool, kitchen.id, filter);

/** More bakes with something put by than anybody has freezers for. */
const MOST_STOCK = 100;
/** What is put by of which something is left. */
export const stockLeft = ({ pool, kitchen }: Context): Promise<BakeStock[]> =>
  listStock(pool, kitchen.id, MOST_STOCK);

/** Starts a bake: scales that very revision again on the server and keeps the sheet with the bake. Repeatable. */
export async function startBake(
  context: Context,
  start: {
    requestId: string;
    formulaId: string;
    revision: number;
    batch: BatchRequest;
    lever?: string | undefined;
    ladder?: LadderWish | undefined;
  },
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
  const { kit } = await loadKit(context);
  const known = await book();
  const lever = leverOf(start.lever ?? '');
  const made = lever
    ? withLever(revision.formula, lever, known, runKitchenOf(kit, revision.formula))
    : refuse('notAllowed', 'lever');
  if (!made.ok) return invalid(made.problem);
  const sheet = sheetOf(made.value, start, kit, known);
  if (!sheet.ok) return invalid(sheet.problem);
  const id = newId();
  const startedAt = now();
  const { formulaId } = start;
  try {
    await transaction(pool, async (client) => {
      await insertBake(client, { kitchenId: kitchen.id, id, ...start, sheet: sheet.value, startedAt });
      const startedAtMs = startedAt.getTime();
      const bake = { id, formulaId, revision: start.revision, startedAtMs, sheet: sheet.value };
      await saveCard(client, kitchen.id, bake, bakeState(startedAtMs, []));
    });
    // what is to be expected of it is told before it is known how it comes out
    context.afterwards(async () => void (await bakeForecast(context, id)));
    return done({ id });
  } catch (error) {
    const first = databaseFailure(error) === 'duplicate' ? await again() : null;
    if (first) return first;
    throw error;
  }
}

/** The sheet of what is to be baked: the formula as it is, or as a ladder, whose codes follow from the wish. */
function sheetOf(
  formula: Formula,
  { requestId, batch, ladder }: { requestId: string; batch: BatchRequest; ladder?: LadderWish | undefined },
  kit: Kit,
  book: IngredientBook,
): Result<BatchSheet> {
  if (!ladder) return planBatch(formula, batch, kit.scales, book, roomOf(kit, formula));
  const made = ladderFormula(formula, ladder, rungCodes(requestId, ladder.values.length), book);
  if (!made.ok) {
    const { code, path, params } = made.problem;
    return refuse(code, `ladder.${path}`, params);
  }
  const sheet = planBatch(made.value.formula, batch, kit.scales, book, roomOf(kit, made.value.formula));
  return sheet.ok ? ok({ ...sheet.value, ladder: made.value.ladder }) : sheet;
}

interface TapResult {
  readonly eventId: string;
  readonly problem: Problem | null;
}

/** The answer to taps: what became of each, and what the asker does not know of the bake's log. */
export interface TapsTaken extends BakeNews {
  readonly results: TapResult[];
}

/**
 * Appends what happened at the bench, in order, each tap at most once. The server's clock dates it; a tap that waited is
 * dated back by its wait, but never before the event ahead of it. A tap that can no longer be (the line was already
 * ticked on the other tablet) is answered with its reason and not saved; the others are. So is one whose id came before with something
 * else, or in another bake.
 *
 * @param after number of the newest event the asker knows
 * @returns per tap whether it was saved, and the log from after `after`
 */
export async function recordTaps(
  context: Context,
  bakeId: string,
  taps: readonly Tap[],
  after = 0,
): Promise<Done<TapsTaken>> {
  const { pool, kitchen, book, now, afterwards } = context;
  // before the transaction: a second connection must never be waited for while one is held
  const ingredients = await book();
  const take = () =>
    transaction(pool, (client) => takeTaps(client, kitchen.id, bakeId, taps, ingredients, now()));
  const taken = await take().catch((error: unknown) => {
    // an id that another bake was just being given: now it can be seen there
    if (databaseFailure(error) === 'duplicate') return take();
    throw error;
  });
  if (!taken.ok) return taken;
  const { results, events, nowMs, ended } = taken.value;
  if (ended) afterwards(() => renewLearnt(context, ended));
  return done({ results, events: events.filter(({ seq }) => seq > after), epoch: kitchen.epoch, nowMs });
}

/**
 * So many pieces of what a bake put by are taken out: told in its log, once, however often it is asked.
 *
 * @param eventId of the one time it is told by
 */
export async function takeFromStock(context: Context, bakeId: string, { eventId, wayId, pieces }: { readonly eventId: string; readonly wayId: string; readonly pieces: number }): Promise<void> {
  const { pool, kitchen, book, now } = context;
  // a day is saved often after it was told; two at once are told apart by the lock and the id
  if ((await findEventIds(pool, kitchen.id, [eventId])).length > 0) return;
  const ingredients = await book();
  await transaction(pool, async (client) => {
    const bake = await lockBake(client, kitchen.id, bakeId);
    if (!bake) return;
    const state = bakeState(bake.startedAtMs, readable(await listEvents(client, kitchen.id, [bakeId])));
    const left = stockOf(bake.sheet, state).find((each) => each.wayId === wayId)?.leftPieces ?? 0;
    if (left === 0 || pieces === 0) return;
    const action = { type: 'stockCounted' as const, wayId, leftPieces: Math.max(0, left - pieces) };
    await takeTaps(client, kitchen.id, bakeId, [{ eventId, agoMs: 0, action }], ingredients, now());
  });
} // prettier-ignore

interface Taken {
  readonly results: TapResult[];
  readonly events: BakeEvent[];
  readonly nowMs: number;
  /** The formula of a bake that is over by these taps, or was and has been corrected. */
  readonly ended: string | null;
}

/** The same within a transaction of the caller’s. */
export async function takeTaps(
  client: Queryable,
  kitchenId: string,
  bakeId: string,
  taps: readonly Tap[],
  book: IngredientBook,
  now: Date,
): Promise<Done<Taken>> {
  const bake = await lockBake(client, kitchenId, bakeId);
  if (!bake) return failed({ kind: 'notFound' });
  const rows = await listEvents(client, kitchenId, [bakeId]);
  const stored = new Map<string, BakeAction | null>(rows.map(({ eventId, action }) => [eventId, action]));
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
  for (const { eventId, agoMs, action, by } of taps) {
    const before = stored.get(eventId);
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
    const event = { seq, atMs: lastMs, action, ...(by !== undefined && { by }) };
    stored.set(eventId, action);
    events.push(event);
    state = afterEvent(state, event);
    fresh.push({ eventId, seq, action, at: new Date(lastMs), by: by ?? null });
    results.push({ eventId, problem: null });
  }
  if (fresh.length > 0) {
    await insertEvents(client, kitchenId, bakeId, fresh);
    await saveCard(client, kitchenId, bake, state);
  }
  const ended = fresh.length > 0 && state.endedAtMs !== null ? bake.formulaId : null;
  return done({ results, events, nowMs: now.getTime(), ended });
}
