import { planBatch, takenOutSheet, type BatchRequest, type BatchSheet } from '../batch';
import type { Formula } from '../formula';
import type { IngredientBook } from '../ingredients';
import type { LotEntry } from '../ingredients/kitchenEntrySchema';
import { roomOf, runKitchenOf, type Kit } from '../kit';
import { ok, type Result } from '../result';
import type { DayBatchDocument, DayDocument } from './dayDocument';
import { batchVariants, dayOf, type Day, type DayBatchWish } from './dayOf';
import { DAY_LIMITS } from './dayLimits';
import type { DayActivity, DayPlan, Fact, PlacedBatch, Variant } from './dayProblem';
import type { Plate } from '../heat/parameters';
import { AS_WRITTEN, leveredWays, leverId, type LeverKind } from './levers';
import type { LifeDocument } from './lifeDocument';
import { lifeHands } from './lifeHands';
import type { BatchWay } from './batchWay';
import { piecesOut } from './piecesOut';
import { outBlockId } from './ovenProof';
import { fedWays, type KeptStarters, type StarterShort } from './fedWays';
import { startersNow } from '../starter/feedsDue';
import { NO_STARTERS, type StartersDocument } from '../starter/starterDocument';
import { begunDay, type Progress } from './begunDay';
import { blockKey, keyOf } from './score';
import type { Block } from './strandsOf';

/** What the bench knows of a call of a bake: when it began, and when it was done. */
interface CallProgress {
  readonly startMs: number | null;
  readonly doneMs: number | null;
  /** Until when its clock runs, where it runs: said to be not there yet, it takes longer than was planned. */
  readonly untilMs?: number;
}

/** A bake that was begun from a batch of the day: its own sheet, and how far it is. */
export interface BakeProgress {
  readonly sheet: BatchSheet;
  readonly startedMs: number;
  readonly endedMs: number | null;
  readonly calls: Readonly<Record<string, CallProgress>>;
}

/** All that a day is laid out from. */
export interface KitchenDay {
  readonly day: DayDocument;
  readonly life: LifeDocument;
  readonly zone: string;
  readonly kit: Kit;
  readonly book: IngredientBook;
  /** Bags that are told apart. */
  readonly lots: readonly LotEntry[];
  readonly nowMs: number;
  /** By formula and revision, {@link formulaKey}; one that is missing leaves its batch out. */
  readonly formulas: ReadonlyMap<string, Formula>;
  /** By the id of the bake. */
  readonly bakes: ReadonlyMap<string, BakeProgress>;
  /** Absent: none is kept. */
  readonly starters?: StartersDocument;
}

/** A formula as a batch of the day names it. */
export interface DayFormula {
  readonly formulaId: string;
  readonly revision: number;
  readonly formula: Formula;
}

/** What is to be put on the day: a formula, or what was put by of a bake of it. */
export type ToAdd = DayFormula & Pick<DayBatchDocument, 'takenOut'>;

export const formulaKey = ({
  formulaId,
  revision,
}: Pick<DayBatchDocument, 'formulaId' | 'revision'>): string => `${formulaId} ${revision}`;

/** A batch as far as it says how it can be made. */
export interface AskedBatch {
  readonly batch: BatchRequest;
  readonly levers: readonly LeverKind[];
  readonly takenOut?: { readonly wayId: string } | undefined;
}

/**
 * The ways a batch can be made: as written first, then by the levers that are allowed.
 *
 * @returns as `planBatch` of the batch as written, or `takenOutSheet`; a lever whose batch cannot be weighed is left out
 */
export function batchWays(
  formula: Formula,
  { batch: request, levers: allowed, takenOut }: AskedBatch,
  { kit, book }: Pick<KitchenDay, 'kit' | 'book'>,
): Result<readonly BatchWay[]> {
  if (takenOut) {
    const pieces = piecesOut({ batch: request, takenOut });
    const sheet = takenOutSheet(formula, { wayId: takenOut.wayId, pieces }, kit.scales, book, roomOf(kit, formula));
    // the dough is what it is: there is one way to go on
    return sheet.ok ? ok([{ id: leverId(AS_WRITTEN), tasteCost: 0, sheet: sheet.value }]) : sheet;
  }
  const sheetOf = (made: Formula) => planBatch(made, request, kit.scales, book, roomOf(kit, made));
  const plain = sheetOf(formula);
  if (!plain.ok) return plain;
  const ways: BatchWay[] = [{ id: leverId(AS_WRITTEN), tasteCost: 0, sheet: plain.value }];
  if (allowed.length === 0) return ok(ways);
  for (const { lever, formula: made, tasteCost } of leveredWays(formula, allowed, book, runKitchenOf(kit, formula)).slice(1)) {
    const sheet = sheetOf(made);
    if (sheet.ok) ways.push({ id: leverId(lever), tasteCost, sheet: sheet.value });
  }
  return ok(ways);
} // prettier-ignore

/** Of ways a batch can be made those it has not been given, as variants for a collision to look at, and what is behind them. */
export function variantsBeyond(wish: DayBatchWish, ways: readonly BatchWay[], { problem, fromMs, slotMs }: Day, kit: Kit): { readonly variants: Variant[]; readonly blocks: Day['blocks'] } {
  const known = new Set(wish.ways.map(({ id }) => id));
  const blocks = new Map<string, Block>();
  const variants = batchVariants({ ...wish, ways: ways.filter(({ id }) => !known.has(id)) }, { kit, slotMin: problem.slotMin, slotOf: (ms) => (ms - fromMs) / slotMs, ovens: problem.ovens, blocks });
  return { variants, blocks };
} // prettier-ignore

/** Ways of batches, remembered: they follow from formula, request, levers, kit and book alone. */
export type WaysOf = (batch: DayBatchDocument, formula: Formula) => Result<readonly BatchWay[]>;

/** A kitchen's day as a problem, begun as far as it has, with the plan that is saved and what each batch is made of. */
export interface KitchenProblem {
  readonly day: Day;
  readonly saved: DayPlan;
  readonly ways: ReadonlyMap<string, readonly BatchWay[]>;
  readonly wishes: readonly DayBatchWish[];
  /** Batches that are left out: their formula is gone, or their batch cannot be weighed. */
  readonly leftOut: readonly string[];
  /** Everything has a place already: what can stay stays. */
  readonly isLaidOut: boolean;
  /** What has begun, by the key of its activity. */
  readonly progress: ReadonlyMap<string, Progress>;
  readonly begunIds: ReadonlySet<string>;
  /** The day as it was before anything of it had begun. */
  readonly whole: Day['problem'];
  readonly waysOf: WaysOf;
  /** Batches whose starter cannot be promised. */
  readonly short: ReadonlyMap<string, StarterShort>;
  readonly jars: KeptStarters;
  /** Cleaning down after wheat. */
  readonly cleans: readonly { readonly fromMs: number; readonly toMs: number }[];
}

const HOUR_MS = 3_600_000;
const SLOT_MIN = 5;
const SLOT_MS = SLOT_MIN * 60_000;
/** A day goes on for so long after the last thing that is wanted. */
const BEYOND_MS = 14 * HOUR_MS;
const LONGEST_MS = DAY_LIMITS.slots.max * SLOT_MS;

const downToSlot = (ms: number): number => Math.floor(ms / SLOT_MS) * SLOT_MS;

interface Benched {
  readonly startMs: number;
  readonly endMs: number | null;
  /** Absent: as long as was planned, as far as anybody knows. */
  readonly lastsMs?: number;
}

/** What the bench says of the calls of a bake, block by block: a block has begun with its first call, and is over with its last. */
function benchProgress({ calls, startedMs }: BakeProgress, day: Day, batchId: string, variantId: string): Map<string, Benched> {
  const found = new Map<string, Benched>();
  for (const variant of day.problem.batches.find(({ id }) => id === batchId)?.variants ?? [])
    for (const { id } of variant.strands.flatMap(({ activities }) => activities)) {
      const block = day.blocks.get(blockKey(batchId, variantId, { id }));
      if (!block) continue;
      const told = block.calls.map(({ activityId }) => calls[activityId]);
      const times = told.flatMap((call) => [call?.startMs, call?.doneMs]).filter((ms): ms is number => typeof ms === 'number');
      if (times.length === 0) continue;
      const last = told.at(-1)?.doneMs ?? null;
      // the rest of a rise beside the oven goes by the same tap as the rise: it is known only when it is over
      if (id.endsWith(outBlockId('')) && last === null) continue;
      const start = Math.min(...times);
      // only that it was done is known: it took as long as it takes
      const known = told[0]?.startMs ?? null;
      const first = known ?? Math.max(0, start - 1000 * (block.calls[0]?.lastsS ?? 0));
      const from = Math.min(first, start);
      const lastsMs = Math.max(0, ...told.map((call) => call?.untilMs ?? 0)) - from;
      // a clock is set to the shortest: only that it takes longer says anything
      const isLonger = last === null && lastsMs > 1000 * block.lastsS.typical;
      found.set(id, { startMs: from, endMs: last, ...(isLonger && { lastsMs }) });
    }
  // whoever has started a bake is at its first thing, whatever he has ticked
  const [head] = day.problem.batches.find(({ id }) => id === batchId)?.variants[0]?.strands[0]?.activities ?? [];
  if (head && !found.has(head.id)) found.set(head.id, { startMs: startedMs, endMs: null });
  return found;
} // prettier-ignore

/**
 * A kitchen's day as a problem. Slots are counted from an hour before the earliest thing that still matters began.
 *
 * @returns as {@link dayOf} and `handsOf`; null where there is nothing to plan
 */
export function kitchenProblem(all: KitchenDay, waysOf: WaysOf): Result<KitchenProblem | null> {
  const { day: wanted, life, zone, kit, nowMs, formulas, bakes } = all;
  const leftOut: string[] = [];
  const ways = new Map<string, readonly BatchWay[]>();
  const jars = startersNow(all.starters ?? NO_STARTERS, nowMs);
  const short = new Map<string, StarterShort>();
  const wishes: DayBatchWish[] = [];
  let originMs = nowMs;
  for (const batch of wanted.batches) {
    const bake = batch.bakeId === null ? undefined : bakes.get(batch.bakeId);
    if (bake && bake.endedMs !== null) continue;
    const formula = formulas.get(formulaKey(batch));
    const made = formula && (bake ? ok([{ id: batch.variantId || leverId(AS_WRITTEN), tasteCost: 0, sheet: bake.sheet }]) : waysOf(batch, formula));
    if (!formula || !made?.ok) {
      leftOut.push(batch.id);
      continue;
    }
    const fed = bake ? { ways: made.value, short: null } : fedWays(batch, made.value, jars, kit.roomC, nowMs);
    if (fed.short) short.set(batch.id, fed.short);
    ways.set(batch.id, fed.ways);
    const own = batch.ovenIds.filter((id) => kit.ovens.some((oven) => oven.id === id));
    wishes.push({ id: batch.id, ways: fed.ways, formula, ready: batch.ready, ...(batch.spareMin !== undefined && { spareMin: batch.spareMin }), ...(own.length > 0 && { ovenIds: own }) });
    const begun = [bake?.startedMs, ...Object.values(batch.progress).map(({ startMs }) => startMs)];
    originMs = Math.min(originMs, ...begun.filter((ms): ms is number => ms !== undefined));
  }
  if (wishes.length === 0) return ok(null);
  // what is longer ago than two days has no part in this one
  originMs = downToSlot(Math.max(originMs, nowMs - 48 * HOUR_MS)) - 12 * SLOT_MS;
  const ends = wishes.map(({ ready }) => ready?.toMs ?? 0);
  const endMs = Math.min(Math.max(nowMs + 10 * HOUR_MS, ...ends) + BEYOND_MS, originMs + LONGEST_MS);
  const there = lifeHands(life, zone, originMs, endMs);
  if (!there.ok) return there;
  const { hands, cleans } = there.value;
  const made = dayOf({ fromMs: originMs, endMs, slotMin: SLOT_MIN, kit, hands, batches: wishes });
  if (!made.ok) return made;
  const slotOf = (ms: number) => Math.max(0, Math.round((ms - originMs) / SLOT_MS));
  const progress = new Map<string, Progress>();
  const saved: Record<string, PlacedBatch> = {};
  const pinned = new Map<string, number>();
  const begunIds = new Set<string>();
  for (const batch of wanted.batches) {
    const mine = ways.get(batch.id);
    if (!mine) continue;
    const variantId = mine.some(({ id }) => id === batch.variantId) ? batch.variantId : mine[0]!.id;
    const bake = batch.bakeId === null ? undefined : bakes.get(batch.bakeId);
    const benched = bake ? benchProgress(bake, made.value, batch.id, variantId) : new Map<string, never>();
    for (const [id, { startMs, endMs: doneMs, lastsMs }] of benched)
      progress.set(keyOf(batch.id, { id }), {
        startSlot: slotOf(startMs), endSlot: doneMs === null ? null : slotOf(doneMs), ...(lastsMs !== undefined && { lastsSlots: Math.ceil(lastsMs / SLOT_MS) }),
      });
    // what a hand says counts more than what a timer does
    for (const [id, { startMs, endMs: doneMs, lastsS }] of Object.entries(batch.progress))
      progress.set(keyOf(batch.id, { id }), {
        startSlot: slotOf(startMs), endSlot: doneMs === null ? null : slotOf(doneMs), ...(lastsS !== null && { lastsSlots: Math.ceil(lastsS / 60 / SLOT_MIN) }),
      });
    for (const [id, ms] of Object.entries(batch.pins)) pinned.set(keyOf(batch.id, { id }), slotOf(ms));
    if (benched.size > 0 || Object.keys(batch.progress).length > 0) begunIds.add(batch.id);
    const at = Object.fromEntries(Object.entries(batch.at).map(([id, { startMs, ovenId }]) => [id, { startSlot: slotOf(startMs), ovenId }]));
    // made in a way that is none any more, it finds its place anew
    if (Object.keys(at).length > 0 && (batch.variantId === variantId || batch.variantId === '')) saved[batch.id] = { variantId, at };
  }
  const nowSlot = Math.max(0, Math.ceil((nowMs - originMs) / SLOT_MS - 1e-9));
  const notHot = (wanted.notHot ?? []).map((each) => ({ ...each, untilSlot: slotOf(each.untilMs) }));
  const hotSlot = ({ heat }: DayActivity) => Math.max(0, ...notHot.flatMap(({ ovenId, untilSlot }) => (heat?.ovenIds.includes(ovenId) ? [untilSlot] : [])));
  const problem = withPins(withNotHot(made.value.problem, notHot, nowSlot), pinned);
  const begun = begunDay(problem, { batches: saved }, progress, nowSlot, hotSlot);
  return ok({
    day: { ...made.value, problem: begun.problem }, saved: begun.plan, whole: problem, ways, wishes, leftOut, progress, begunIds, waysOf, short, jars, cleans,
    isLaidOut: wishes.every(({ id }) => begun.plan.batches[id] !== undefined),
  });
} // prettier-ignore

/** What is not hot yet is as if it were full until then: at the heat it is wanted at, so that the load may go in when it is there. */
function withNotHot(problem: Day['problem'], notHot: readonly { readonly ovenId: string; readonly setC: number; readonly plate: Plate | null; readonly untilSlot: number }[], nowSlot: number): Day['problem'] {
  const facts = notHot.flatMap(({ ovenId, setC, plate, untilSlot }): Fact[] => {
    const oven = problem.ovens.find(({ id }) => id === ovenId);
    const lastsSlots = untilSlot - nowSlot - (oven?.recoverSlots ?? 0);
    if (!oven || lastsSlots <= 0) return [];
    const heat = { ovenIds: [ovenId], setC, endC: setC, share: 1, plate };
    return [{ activity: { id: 'not hot', lastsSlots, leastSlots: 0, mostSlots: null, hands: [], uses: [], heat }, startSlot: nowSlot, ovenId }];
  });
  return facts.length > 0 ? { ...problem, facts: [...(problem.facts ?? []), ...facts] } : problem;
} // prettier-ignore

/** Blocks that may not move. */
const withPins = (problem: Day['problem'], pinned: ReadonlyMap<string, number>): Day['problem'] =>
  pinned.size === 0
    ? problem
    : {
        ...problem,
        batches: problem.batches.map((batch) => ({
          ...batch,
          variants: batch.variants.map((variant) => ({
            ...variant,
            strands: variant.strands.map((strand) => ({
              ...strand,
              activities: strand.activities.map((activity) => {
                const slot = pinned.get(keyOf(batch.id, activity));
                return slot === undefined
                  ? activity
                  : { ...activity, within: { fromSlot: slot, toSlot: slot } };
              }),
            })),
          })),
        })),
      };
