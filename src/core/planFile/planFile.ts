import * as z from 'zod';
import { batchRequestSchema } from '../batch';
import { fileBook, newestKit, readKitchenFile } from '../formats/kitchenFile';
import { readJson } from '../formats/readJson';
import type { IngredientBook } from '../ingredients';
import { readAs } from '../readAs';
import { ok, refuse, type Problem, type Result } from '../result';
import { collisionOf, type WayOut } from '../day/collision';
import { callsOf, dayOf, lightings, type Day, type DayBatchWish } from '../day/dayOf';
import { DAY_LIMITS } from '../day/dayLimits';
import type { Variant } from '../day/dayProblem';
import type { BatchWay } from '../day/batchWay';
import { batchWays, variantsBeyond } from '../day/kitchenDay';
import { outOf, usualRequest } from '../day/usualRequest';
import { FEED } from '../day/blockKind';
import { fedWays, type StarterShort } from '../day/fedWays';
import { blockKey } from '../day/score';
import { FORMULA_LIMITS } from '../formula/formulaLimits';
import { localIdSchema } from '../formula/formulaSchema';
import { startersNow } from '../starter/feedsDue';
import { NO_STARTERS } from '../starter/starterDocument';
import { LEVER_KINDS } from '../day/levers';
import { handsOf } from '../day/life';
import { playPlan, type Outcome } from '../day/play';
import { searchDay, type Found } from '../day/searchDay';

export const DAY_FORMAT = 'honest-crumb.day';
/** 2: what was put by may be taken out. */
export const DAY_VERSION = 2;
const VERSIONS: readonly unknown[] = [1, DAY_VERSION];

const moment = z.iso.datetime({ offset: true });
const hours = {
  days: z.array(z.number().int()).max(7),
  from: z.string().max(5),
  to: z.string().max(5),
};
/** A day to be planned, as a file: a kitchen as it writes itself, its life, and what is to be made. */
export const dayFileSchema = z.strictObject({
  format: z.literal(DAY_FORMAT),
  version: z.union([z.literal(1), z.literal(DAY_VERSION)]),
  now: moment,
  until: moment,
  slotMin: z.number().default(5),
  life: z.strictObject({
    zone: z.string().max(60),
    people: z.number().default(1),
    away: z.array(z.strictObject({ ...hours, people: z.number().int().min(1).optional() })).max(60).default([]),
    preferred: z.array(z.strictObject(hours)).max(20).default([]),
    otherHours: z.boolean().default(false),
    /** Single times in which nobody is there. */
    once: z.array(z.strictObject({ from: moment, to: moment })).max(400).default([]),
  }),
  kitchen: z.looseObject({ format: z.string() }),
  batches: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(60),
        /** The key of a formula of the kitchen. */
        formula: z.string().max(60),
        /** How much; absent: as much as the formula usually makes. */
        batch: batchRequestSchema.optional(),
        /** A moment, or between two; null: as soon as it can be. */
        ready: z.union([moment, z.strictObject({ from: moment, to: moment })]).nullable(),
        /** What may be changed of it so that it fits. */
        levers: z.array(z.enum(LEVER_KINDS)).max(LEVER_KINDS.length).default([]),
        /** It is finished from what was put by of that way of the formula, so many pieces; `batch` and `levers` say nothing then. */
        takenOut: z.strictObject({ wayId: localIdSchema, pieces: z.number().int().min(1).max(FORMULA_LIMITS.pieces.max) }).optional(),
      }),
    )
    .min(1)
    .max(DAY_LIMITS.most),
}); // prettier-ignore

const at = (path: string, { problem }: { problem: Problem }): Result<never> => ({
  ok: false,
  problem: { ...problem, path: [path, problem.path].filter(Boolean).join('.') },
});

interface ReadDay {
  readonly day: Day;
  readonly wishes: readonly DayBatchWish[];
  /** Batches whose starter cannot be promised. */
  readonly short: ReadonlyMap<string, StarterShort>;
  /** Ways to make a batch that the file does not allow. */
  readonly beyond: (wish: DayBatchWish) => readonly Variant[];
}

/**
 * Reads a day file and lays out the problem: everything is held against the kitchen's own book, kit and formulas.
 *
 * @returns as `readKitchenFile` under `kitchen`, `planBatch` under `batches.N.batch`, `takenOutSheet` under `batches.N.takenOut`, `handsOf` under `life`, and {@link dayOf}
 */
function readDay(
  text: string,
  library: IngredientBook,
): Result<ReadDay> {
  const json = readJson(text);
  if (!json.ok) return json;
  const data = json.value as { format?: unknown; version?: unknown } | null;
  if (typeof data !== 'object' || data?.format !== DAY_FORMAT) return refuse('wrongFormat', 'format');
  if (!VERSIONS.includes(data.version)) return refuse('wrongVersion', 'version', { version: JSON.stringify(data.version ?? null).slice(0, 20), max: DAY_VERSION });
  const read = readAs(dayFileSchema, data);
  if (!read.ok) return read;
  const { now, until, slotMin, life, kitchen, batches } = read.value;
  const file = readKitchenFile(kitchen, library);
  if (!file.ok) return at('kitchen', file);
  const book = fileBook(file.value, library);
  if (!book.ok) return at('kitchen', book);
  const kit = newestKit(file.value);
  const nowMs = Date.parse(now);
  const endMs = Date.parse(until);
  const once = life.once.map(({ from, to }) => ({ fromMs: Date.parse(from), toMs: Date.parse(to) }));
  const hands = handsOf({ ...life, once }, nowMs, endMs);
  if (!hands.ok) return at('life', hands);
  const wishes: DayBatchWish[] = [];
  const around = { kit, book: book.value };
  const allWays = new Map<string, () => Result<readonly BatchWay[]>>();
  const jars = startersNow(file.value.starters ?? NO_STARTERS, nowMs);
  const short = new Map<string, StarterShort>();
  const fed = (ways: readonly BatchWay[]) => fedWays(NOT_BEGUN, ways, jars, kit.roomC, nowMs);
  for (const [index, { id, formula: key, batch, ready, levers, takenOut }] of batches.entries()) {
    const formula = file.value.formulas.find((each) => each.key === key)?.revisions.at(-1)?.formula;
    if (!formula) return refuse('notAllowed', `batches.${index}.formula`);
    const request = takenOut ? outOf(formula, takenOut.wayId, takenOut.pieces) : (batch ?? usualRequest(formula));
    const ways = batchWays(formula, { batch: request, levers, takenOut }, around);
    allWays.set(id, () => batchWays(formula, { batch: request, levers: LEVER_KINDS, takenOut }, around));
    if (!ways.ok) return at(`batches.${index}.${takenOut ? 'takenOut' : 'batch'}`, ways);
    const made = fed(ways.value);
    if (made.short) short.set(id, made.short);
    const { from, to } = typeof ready === 'string' ? { from: ready, to: ready } : (ready ?? { from: null, to: null });
    if (to !== null && Date.parse(to) <= nowMs) return refuse('tooSmall', `batches.${index}.ready.to`);
    wishes.push({ id, ways: made.ways, formula, ready: from && to ? { fromMs: Date.parse(from), toMs: Date.parse(to) } : null });
  }
  const day = dayOf({ fromMs: nowMs, endMs, slotMin, kit, hands: hands.value, batches: wishes });
  if (!day.ok) return day;
  const beyond = (wish: DayBatchWish): readonly Variant[] => {
    const ways = allWays.get(wish.id)?.();
    return ways?.ok ? variantsBeyond(wish, fed(ways.value).ways, day.value, kit).variants : [];
  };
  return ok({ day: day.value, wishes, beyond, short });
} // prettier-ignore

type Spans = (slots: readonly { fromSlot: number; toSlot: number }[]) => unknown;
function wayOutAsFile(out: WayOut, at: (slot: number) => string, spans: Spans) {
  switch (out.kind) {
    case 'later':
      return { kind: out.kind, ready: at(out.readySlot) };
    case 'hands':
      return { kind: out.kind, there: spans(out.slots) };
    case 'otherLater':
      return { kind: out.kind, batch: out.batchId, ready: at(out.readySlot) };
    case 'without':
      return { kind: out.kind, batch: out.batchId };
    case 'lever':
      return { kind: out.kind, lever: out.variant.id, begin: at(out.startSlot) };
    case 'oven':
      return { kind: out.kind, oven: out.ovenId };
  }
}

/** What a dough's starter is: fed for it, as it is in the jar, or why there is none. */
function starterOf(feed: BatchWay['feed'], short: StarterShort | undefined) {
  if (short) return { starter: short };
  if (!feed) return {};
  const { name } = feed;
  return { starter: feed.kind === 'jar' ? { name, jarG: feed.massG } : { name, seedG: feed.seedG, flourG: feed.flourG, waterG: feed.waterG } };
} // prettier-ignore

/** Nothing of a file's day has begun. */
const NOT_BEGUN = { progress: {}, at: {}, variantId: '' };

/** Days on which a plan is played to tell how likely it is. */
const DRAWS = 200;

/** A plan as a file: calls on the clock, when ovens are lit, what is late and why, with what would help. */
function planAsFile({ day, wishes, beyond, short }: ReadDay, { plan, score, rounds }: Found) {
  const { problem, fromMs, slotMs } = day;
  const iso = (ms: number) => new Date(ms).toISOString();
  const spans = (slots: readonly { fromSlot: number; toSlot: number }[]) =>
    slots.map(({ fromSlot, toSlot }) => ({ from: iso(fromMs + fromSlot * slotMs), to: iso(fromMs + toSlot * slotMs) }));
  const steps = new Map(wishes.flatMap(({ id, ways }) => (ways.find((way) => way.id === plan.batches[id]?.variantId) ?? ways[0]!).sheet.steps.map((step) => [`${id} ${step.id}`, step] as const)));
  const calls = callsOf(day, plan);
  const outcomes = new Map(playPlan(day, plan, { seed: 1, draws: DRAWS }).map((outcome) => [outcome.batchId, outcome]));
  const atSlot = (slot: number) => iso(fromMs + Math.round((slot * slotMs) / 60_000) * 60_000);
  const { late, unwanted, old, idle, ...rest } = score;
  const inMin = (slots: number) => (slots * slotMs) / 60_000;
  const likely = (outcome: Outcome | undefined) =>
    outcome && { readyBetween: { from: atSlot(outcome.ready.low), to: atSlot(outcome.ready.high) }, chance: outcome.chance };
  return {
    format: 'honest-crumb.plan',
    version: 1,
    score: { ...rest, lateMin: inMin(late), unwantedMin: inMin(unwanted), oldMin: inMin(old), idleMin: inMin(idle) },
    rounds,
    batches: problem.batches.map(({ id }) => {
      const mine = calls.filter(({ batchId }) => batchId === id);
      const wish = wishes.find((each) => each.id === id);
      const wanted = wish?.ready ?? null;
      const found = wish && wanted ? collisionOf(problem, plan, id, () => beyond(wish)) : null;
      return {
        id,
        placed: mine.length > 0,
        made: plan.batches[id]?.variantId ?? null,
        ...starterOf(wish?.ways.find((way) => way.id === plan.batches[id]?.variantId)?.feed, short.get(id)),
        ready: mine.length > 0 ? iso(Math.max(...mine.map(({ toMs }) => toMs))) : null,
        ...likely(outcomes.get(id)),
        wanted: wanted && { from: iso(wanted.fromMs), to: iso(wanted.toMs) },
        ...(found && {
          collision: {
            lateMin: found.lateSlots === null ? null : inMin(found.lateSlots),
            cause: 'slots' in found.cause ? { kind: found.cause.kind, nobody: spans(found.cause.slots) } : found.cause,
            waysOut: found.waysOut.map((out) =>
              wayOutAsFile(out, (slot) => iso(fromMs + slot * slotMs), spans),
            ),
          },
        }),
      };
    }),
    ovens: lightings(day, plan).map(({ atMs, ...each }) => ({ at: iso(atMs), ...each })),
    calls: calls.map(({ batchId, activityId, blockId, fromMs: startMs, toMs, ovenId }) => {
      const step = steps.get(`${batchId} ${activityId}`);
      const block = day.blocks.get(blockKey(batchId, plan.batches[batchId]!.variantId, { id: blockId }));
      return {
        from: iso(startMs), to: iso(toMs), batch: batchId, step: activityId, kind: step?.kind ?? block?.kind ?? null,
        ...(step?.title && { title: step.title }), ...(step?.tempC != null && { tempC: step.tempC }), ...(ovenId && { oven: ovenId }), handsOn: step?.handsOn ?? block?.kind === FEED,
      };
    }),
  };
} // prettier-ignore

/** How long a plan is looked for where nobody waits for a better one, rounds. */
const ROUNDS = 300;

/** `./crumb plan`: a day file in, its plan out. The same for the same file. */
export function planDayFile(text: string, library: IngredientBook): Result<ReturnType<typeof planAsFile>> {
  const read = readDay(text, library);
  if (!read.ok) return read;
  const search = searchDay(read.value.day.problem, 1, ROUNDS);
  let found = search.next();
  while (!found.done) found = search.next();
  return ok(planAsFile(read.value, found.value));
}
