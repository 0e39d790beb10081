import { Board } from './board';
import {
  peopleBySlot,
  type DayActivity,
  type DayBatch,
  type DayPlan,
  type DayProblem,
  type PlacedBatch,
  type Variant,
} from './dayProblem';
import { placeBatch, putStrands } from './placeBatch';
import { compareScores, lateSlotsOf, variantOf } from './score';

/** What a batch that is late, or that found no place, runs into. */
type Cause =
  /** There is too little time, or nothing here gets so hot: alone and with hands at any hour it would be no better. */
  | { readonly kind: 'time' }
  /** Nobody is there when it asks for hands. */
  | {
      readonly kind: 'hands';
      readonly slots: readonly { readonly fromSlot: number; readonly toSlot: number }[];
    }
  /** Another batch has what it needs: without that one it would keep its promise. */
  | { readonly kind: 'batch'; readonly batchId: string }
  /** Several others together. */
  | { readonly kind: 'others' };

/** What would help, each found by planning it. */
export type WayOut =
  /** Ready by then, beside all others. */
  | { readonly kind: 'later'; readonly readySlot: number }
  /** Somebody there in these hours. */
  | {
      readonly kind: 'hands';
      readonly slots: readonly { readonly fromSlot: number; readonly toSlot: number }[];
    }
  /** Without that batch. */
  | { readonly kind: 'without'; readonly batchId: string }
  /** That batch after it, ready by then. */
  | { readonly kind: 'otherLater'; readonly batchId: string; readonly readySlot: number }
  /** Made another way, begun by then. */
  | {
      readonly kind: 'lever';
      readonly variant: Variant;
      readonly startSlot: number;
      readonly placed: PlacedBatch;
    }
  /** In another oven. */
  | { readonly kind: 'oven'; readonly ovenId: string; readonly placed: PlacedBatch };

export interface Collision {
  readonly batchId: string;
  readonly lateSlots: number | null;
  readonly cause: Cause;
  readonly waysOut: readonly WayOut[];
}

/** Somebody there all day, as many as there are at most. */
const alwaysThere = (problem: DayProblem): DayProblem => ({
  ...problem,
  hands: [{ fromSlot: 0, toSlot: problem.slots, people: Math.max(1, ...problem.hands.map(({ people }) => people)) }],
}); // prettier-ignore

/** The same batch, wanted as soon as it can be. */
const atOnce = (batch: DayBatch): DayBatch => ({
  ...batch,
  variants: batch.variants.map((variant) => ({
    ...variant,
    strands: variant.strands.map((strand) => ({
      ...strand,
      promise: strand.promise && { fromSlot: 0, toSlot: 0 },
    })),
  })),
});

const readyOf = (batch: DayBatch, placed: PlacedBatch): number => {
  const variant = batch.variants.find(({ id }) => id === placed.variantId);
  const ends = (variant?.strands ?? []).flatMap(({ promise, activities }) => {
    const last = activities.at(-1);
    return promise && last ? [placed.at[last.id]!.startSlot + last.lastsSlots] : [];
  });
  return Math.max(0, ...ends);
};

/** A board with some batches of a plan on it. */
export function boardWith(problem: DayProblem, plan: DayPlan, ids: readonly string[]): Board {
  const board = new Board(problem);
  for (const id of ids) {
    const placed = plan.batches[id];
    const variant: Variant | undefined = placed && variantOf(problem, id, placed);
    if (placed && variant) putStrands(board, id, variant.strands, placed.at);
  }
  return board;
}

/** Ways to make a batch that are offered, the best first. */
const MOST_LEVERS = 3;

/** When another batch is ready if this one goes first; null: it finds no place then. */
function afterIt(problem: DayProblem, plan: DayPlan, batch: DayBatch, otherId: string, others: readonly string[]): number | null {
  const other = problem.batches.find(({ id }) => id === otherId);
  const board = boardWith(problem, plan, others.filter((id) => id !== otherId));
  if (!other || !placeBatch(problem, board, batch, { thorough: true })) return null;
  const found = placeBatch(problem, board, other, { thorough: true });
  return found && readyOf(other, found.placed);
} // prettier-ignore

/** Stretches of a plan in which a batch asks for hands that nobody has. */
function lacking(problem: DayProblem, batch: DayBatch, placed: PlacedBatch) {
  const there = peopleBySlot(problem);
  const asked = new Uint8Array(problem.slots);
  for (const { activities } of batch.variants.find(({ id }) => id === placed.variantId)?.strands ?? [])
    for (const { id, hands } of activities)
      for (const { fromSlot, toSlot } of hands) asked.fill(1, placed.at[id]!.startSlot + fromSlot, placed.at[id]!.startSlot + toSlot);
  const found: { fromSlot: number; toSlot: number }[] = [];
  for (let at = 0; at < problem.slots; at += 1) {
    if (asked[at] === 0 || there[at]! > 0) continue;
    const last = found.at(-1);
    if (last?.toSlot === at) last.toSlot = at + 1;
    else found.push({ fromSlot: at, toSlot: at + 1 });
  }
  return found;
} // prettier-ignore

/** The same batch, in that oven alone. */
const inThat = (batch: DayBatch, ovenId: string): DayBatch => ({
  ...batch,
  variants: batch.variants.map((variant) => ({
    ...variant,
    strands: variant.strands.map((strand) => ({
      ...strand,
      activities: strand.activities.map((activity) =>
        activity.heat ? { ...activity, heat: { ...activity.heat, ovenIds: [ovenId] } } : activity,
      ),
    })),
  })),
});

const ovensOf = ({ variants }: DayBatch): ReadonlySet<string> =>
  new Set(variants.flatMap(({ strands }) => strands.flatMap(({ activities }) => activities.flatMap(({ heat }) => heat?.ovenIds ?? [])))); // prettier-ignore

/**
 * Why a batch of a plan is late or has no place, and what would help: each answer is planned, none is guessed. Null: it keeps its promise.
 *
 * @param levers ways to make it that nobody has allowed yet, asked for only where it is late: offered where one keeps the promise
 */
export function collisionOf(problem: DayProblem, plan: DayPlan, batchId: string, levers: () => readonly Variant[] = () => []): Collision | null {
  const batch = problem.batches.find(({ id }) => id === batchId);
  if (!batch) return null;
  const others = problem.batches.map(({ id }) => id).filter((id) => id !== batchId && plan.batches[id]);
  const beside = (ids: readonly string[], by = problem, what = batch) =>
    placeBatch(by, boardWith(by, plan, ids), what, { thorough: true });
  // what lies in time collides with nothing, even where a place of its own, looked for once more, would be a later one
  const placed = plan.batches[batchId];
  const variant = placed && variantOf(problem, batchId, placed);
  const plannedLate = placed && variant ? lateSlotsOf(variant, placed) : null;
  if (plannedLate === 0) return null;
  const now = beside(others);
  if (now?.score.late === 0) return null;
  const waysOut: WayOut[] = [];
  const soon = beside(others, problem, atOnce(batch));
  const soonest = [soon?.placed, placed].flatMap((each) => (each ? [readyOf(batch, each)] : []));
  if (soonest.length > 0) waysOut.push({ kind: 'later', readySlot: Math.min(...soonest) });
  const lateSlots = plannedLate ?? now?.score.late ?? null;
  const known = ovensOf(batch);
  for (const { id } of known.size > 0 ? problem.ovens : [])
    if (!known.has(id)) {
      const there = beside(others, problem, inThat(batch, id));
      if (there?.score.late === 0) waysOut.push({ kind: 'oven', ovenId: id, placed: there.placed });
    }
  const helping = levers()
    .flatMap((variant) => {
      const found = beside(others, problem, { ...batch, variants: [variant] });
      return found?.score.late === 0 ? [{ variant, found }] : [];
    })
    .sort((a, b) => compareScores(a.found.score, b.found.score));
  for (const { variant, found } of helping.slice(0, MOST_LEVERS)) {
    const starts = Object.values(found.placed.at).map(({ startSlot }) => startSlot);
    waysOut.push({ kind: 'lever', variant, startSlot: Math.min(...starts), placed: found.placed });
  }
  const alone = beside([]);
  if (alone?.score.late === 0) {
    const one = others.filter((id) => beside(others.filter((other) => other !== id))?.score.late === 0);
    for (const id of one) {
      const readySlot = afterIt(problem, plan, batch, id, others);
      waysOut.push(readySlot === null ? { kind: 'without', batchId: id } : { kind: 'otherLater', batchId: id, readySlot });
    }
    const [first] = one;
    return { batchId, lateSlots, waysOut, cause: first ? { kind: 'batch', batchId: first } : { kind: 'others' } };
  }
  const always = alwaysThere(problem);
  const attended = placeBatch(always, new Board(always), batch, { thorough: true });
  if (attended?.score.late !== 0) return { batchId, lateSlots, waysOut, cause: { kind: 'time' } };
  const slots = lacking(problem, batch, attended.placed);
  return { batchId, lateSlots, cause: { kind: 'hands', slots }, waysOut: [...waysOut, { kind: 'hands', slots }] };
} // prettier-ignore

/** How far from where it was pinned a place is looked for, slots. */
const NEAR: readonly number[] = [0, 1, 2, 4, 8, 16, 32, 48];

/** The nearest moment at which a pinned activity could begin beside all others; null: none within four hours. */
export function nearestPin(problem: DayProblem, plan: DayPlan, batchId: string, activityId: string): number | null {
  const batch = problem.batches.find(({ id }) => id === batchId);
  if (!batch) return null;
  const others = problem.batches.map(({ id }) => id).filter((id) => id !== batchId && plan.batches[id]);
  const widened = (activity: DayActivity, slots: number): DayActivity =>
    activity.id === activityId && activity.within
      ? { ...activity, within: { fromSlot: Math.max(problem.nowSlot ?? 0, activity.within.fromSlot - slots), toSlot: activity.within.toSlot + slots } }
      : activity;
  const within = (slots: number): number | null => {
    const variants = batch.variants.map((variant) => ({
      ...variant,
      strands: variant.strands.map((strand) => ({ ...strand, activities: strand.activities.map((activity) => widened(activity, slots)) })),
    }));
    return placeBatch(problem, boardWith(problem, plan, others), { ...batch, variants }, { thorough: true })?.placed.at[activityId]?.startSlot ?? null;
  };
  const found = NEAR.findIndex((slots) => within(slots) !== null);
  if (found === -1) return null;
  // between the last that was too near and the first that was far enough
  let [tooNear, far] = [NEAR[found - 1] ?? 0, NEAR[found]!];
  while (far - tooNear > 1) {
    const middle = (tooNear + far) >> 1;
    if (within(middle) === null) tooNear = middle;
    else far = middle;
  }
  return within(far);
} // prettier-ignore
