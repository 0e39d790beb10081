import type { Board } from './board';
import type { DayBatch, DayProblem, Placed, PlacedBatch, Strand, Variant } from './dayProblem';
import { valueAt } from './leastWithin';
import { compareScores, keyOf, NOTHING, scoreOfBatch, type Score } from './score';
import { ahead, aheadOf, byEnd, NEVER, partsOf, spansBefore, spansOf, type Try } from './strandCosts';
import { ordersOf } from './strandOrders';
import { follow, oneOfLeast, type Wanted } from './strandPath';

type Drawn = Try['drawn'];

interface Placing extends Try {
  /** Every time the dough could be ready is tried, not just a few. */
  readonly thorough: boolean;
}

/** How often the dough is made ready at another time where its breads get into one another's way. */
const MOST_TRIES = 12;

/** Ends that cost the same as the best one and lie so near before it are as good. */
const ALIKE_SLOTS = 24;

/** A place for a variant beside what is on the board, the best as far as one pass over its strands tells; it is put on the board. Null: none that could be better than `beat`. */
function placeVariant(one: Placing, { id, strands, tasteCost }: Variant, beat: Score | null): PlacedBatch | null {
  const [trunk] = strands;
  const own = aheadOf(one, strands, null);
  if (!trunk || !own) return null;
  // by when the dough is ready; where its breads got into one another's way it is not ready then
  const sums = byEnd(own, one.problem.slots);
  const orders = ordersOf(strands);
  const most = one.thorough ? one.problem.slots : MOST_TRIES;
  for (let tries = 0; tries < most; tries += 1) {
    const ready = oneOfLeast(sums, 0, NEVER, 'last', one.drawn);
    if (ready === -1) return null;
    const sum = valueAt(sums, ready);
    if (beat && compareScores({ ...NOTHING, ...partsOf(sum), taste: tasteCost }, { ...beat, idle: 0 }) > 0) return null;
    let from = ready;
    if (!one.drawn) while (from > ready - ALIKE_SLOTS && valueAt(sums, from - 1) === sum) from -= 1;
    const root = ahead(own, spansBefore(own, { from, to: ready }));
    const first = oneOfLeast(root.ahead[0]!, 0, NEVER, 'last', one.drawn);
    const dough = follow(root, first, one.drawn);
    const turn = one.drawn ? Math.floor(one.drawn() * orders.length) : 0;
    // where the first time of the dough did not do it is seldom the best of each bread that fails, but its finding room at all
    for (const wanted of tries === 0 || one.thorough ? (['first', 'soonest'] as const) : (['soonest'] as const))
      for (let at = 0; at < orders.length; at += 1) {
        const found = placeStrands(one, orders[(turn + at) % orders.length]!, dough, wanted);
        if (found) return { variantId: id, at: wanted === 'first' ? found : freshened(one, strands, found) };
      }
    if (strands.length === 1) return null;
    // further and further away: what does not fit here hardly fits a slot beside it
    const beside = one.thorough ? 0 : tries >> 1;
    const last = trunk.activities.at(-1)!;
    const was = dough[last.id]!.startSlot + last.lastsSlots - sums.from;
    sums.values.fill(NEVER, Math.max(0, was - beside), was + beside + 1);
  }
  return null;
} // prettier-ignore

function placeStrands(
  one: Placing,
  strands: readonly Strand[],
  dough: Record<string, Placed>,
  wanted: Wanted,
): Record<string, Placed> | null {
  const { board, batchId } = one;
  const at: Record<string, Placed> = {};
  const done: Strand[] = [];
  for (const [index, strand] of strands.entries()) {
    const found = index === 0 ? dough : placeStrand(one, strands, strand, at, wanted);
    if (!found) {
      takeStrands(board, batchId, done, at);
      return null;
    }
    Object.assign(at, found);
    putStrands(board, batchId, [strand], at);
    done.push(strand);
  }
  return at;
}

/** A strand behind what it parts from, beside what its brothers have taken by now; it is not put there. */
function placeStrand(one: Placing, strands: readonly Strand[], strand: Strand, at: At, wanted: Wanted): Record<string, Placed> | null {
  const last = strands.find(({ id }) => id === strand.afterId)?.activities.at(-1);
  const end = last ? at[last.id]!.startSlot + last.lastsSlots : 0;
  const [head] = strand.activities;
  if (!head) return {};
  const own = aheadOf(one, branch(strands, strand), end)!;
  const mine = ahead(own, spansOf(strand, end, one.problem));
  const start = oneOfLeast(mine.ahead[0]!, end + head.leastSlots, end + (head.mostSlots ?? NEVER), wanted, one.drawn);
  return start === -1 ? null : follow(mine, start, one.drawn, wanted);
} // prettier-ignore

/** What was put as soon as it could be, now that all have their places: each bread as fresh as it can be where it stands. */
function freshened(one: Placing, strands: readonly Strand[], at: Record<string, Placed>): Record<string, Placed> {
  const leaves = strands.filter(({ id, afterId }) => afterId !== null && !strands.some((strand) => strand.afterId === id));
  for (const strand of leaves.toReversed()) {
    takeStrands(one.board, one.batchId, [strand], at);
    Object.assign(at, placeStrand(one, strands, strand, at, 'first'));
    putStrands(one.board, one.batchId, [strand], at);
  }
  return at;
} // prettier-ignore

/** A strand and all that parts from it. */
function branch(strands: readonly Strand[], strand: Strand): Strand[] {
  const ids = new Set([strand.id]);
  return strands.filter((each) => {
    if (each.id === strand.id) return true;
    if (each.afterId === null || !ids.has(each.afterId)) return false;
    ids.add(each.id);
    return true;
  });
}

type At = PlacedBatch['at'];

export function putStrands(board: Board, batchId: string, strands: readonly Strand[], at: At) {
  for (const { activities } of strands)
    for (const activity of activities) {
      const { startSlot, ovenId } = at[activity.id]!;
      board.put(activity, keyOf(batchId, activity), startSlot, ovenId);
    }
}

export function takeStrands(board: Board, batchId: string, strands: readonly Strand[], at: At) {
  for (const { activities } of strands)
    for (const activity of activities) {
      const { startSlot, ovenId } = at[activity.id]!;
      board.take(activity, keyOf(batchId, activity), startSlot, ovenId);
    }
}

/** What is asked of a place beside being the best. */
export interface Wish {
  readonly earlySlots?: number;
  readonly outBySlot?: number;
  readonly drawn?: Drawn;
  readonly thorough?: boolean;
  /** Only by these; all where nothing is said. */
  readonly variants?: readonly Variant[];
}

/** The best place a batch finds beside what is on the board, by whichever of its variants; it is put on the board. Null: none. */
export function placeBatch(
  problem: DayProblem,
  board: Board,
  batch: DayBatch,
  {
    earlySlots = 0,
    outBySlot = Infinity,
    drawn = null,
    thorough = false,
    variants = batch.variants,
  }: Wish = {},
): { readonly placed: PlacedBatch; readonly score: Score } | null {
  const asked = { board, batchId: batch.id, earlySlots, outBySlot, drawn, thorough };
  const near = thorough ? null : aroundPromise(problem, batch);
  const nearby = near && bestOf({ ...asked, problem: near }, problem, variants);
  // further off it is later or older: better only where it is then in time, or keeps out of hours nobody likes
  const isRight = nearby !== null && nearby.score.late === 0 && nearby.score.unwanted === 0;
  const best = isRight ? nearby : bestOf({ ...asked, problem }, problem, variants);
  if (!best) return null;
  putStrands(board, batch.id, best.strands, best.placed.at);
  return best;
}

/** How much earlier than its promise, and how much later, a bread is looked for first, slots. */
const NEAR_SLOTS = { early: 48, late: 24 };
/** Where that is so much of the day, it saves nothing. */
const MOST_OF_DAY = 0.75;

/** The slots around a batch's promise, with what it takes before, as a day of their own; null: nothing is promised, or they are most of the day. */
function aroundPromise(problem: DayProblem, { variants }: DayBatch): DayProblem | null {
  const { slots, nowSlot = 0 } = problem;
  let from = slots;
  let to = 0;
  for (const { strands } of variants) {
    const longest = new Map<string, number>();
    for (const { id, afterId, activities, promise } of strands) {
      const before = afterId === null ? 0 : (longest.get(afterId) ?? 0);
      const takes = activities.reduce(
        (sum, { lastsSlots, leastSlots }) => sum + lastsSlots + leastSlots,
        before,
      );
      longest.set(id, takes);
      if (!promise) continue;
      from = Math.min(from, promise.fromSlot - takes - NEAR_SLOTS.early);
      to = Math.max(to, promise.toSlot + NEAR_SLOTS.late);
    }
  }
  if (from < nowSlot || to - from > MOST_OF_DAY * (slots - nowSlot)) return null;
  return { ...problem, nowSlot: from, slots: Math.min(slots, to) };
}

interface Best {
  readonly placed: PlacedBatch;
  readonly score: Score;
  readonly strands: readonly Strand[];
}

/** The best of the variants beside what is on the board, where it is not left. */
function bestOf(one: Placing, problem: DayProblem, variants: readonly Variant[]): Best | null {
  const { board, batchId } = one;
  let best: Best | null = null;
  for (const variant of variants) {
    const placed = placeVariant(one, variant, best?.score ?? null);
    if (!placed) continue;
    const score = { ...scoreOfBatch(problem, board, batchId, variant, placed), idle: board.idleSlots() };
    takeStrands(board, batchId, variant.strands, placed.at);
    if (!best || compareScores(score, best.score) < 0) best = { placed, score, strands: variant.strands };
  }
  return best;
}
