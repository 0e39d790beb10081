import { Board, type Openings } from './board';
import type { DayBatch, DayProblem, Strand, Placed, PlacedBatch, Variant } from './dayProblem';
import { leastWithin } from './leastWithin';
import { compareScores, keyOf, NOTHING, scoreOfBatch, type Score } from './score';

const NEVER = Infinity;
const SLACK = 2 ** -12;

/**
 * The parts of the score as one number, the first far above the next. Exact as long as a batch is late by no more than 500 slots; beyond that the last
 * parts blur, which decides nothing.
 */
const WEIGHTS = {
  late: 2 ** 43,
  unwanted: 2 ** 32,
  old: 2 ** 16,
  idle: 2 ** 6,
  changed: 1,
} as const;

/** What a start of each activity of a strand costs from there to the end of all that parts from it. */
interface Ahead {
  readonly strand: Strand;
  readonly openings: readonly Openings[];
  /** By activity and start. */
  readonly cost: readonly Float64Array[];
  /** By the slot in which what it parts from ends. */
  readonly fromEnd: Float64Array;
}

interface Try {
  readonly problem: DayProblem;
  readonly board: Board;
  readonly batchId: string;
  /** Ready so many slots before it has to be, so that others find room behind it. */
  readonly earlySlots: number;
  /** Out of the oven by then, so that others have it. */
  readonly outBySlot: number;
  readonly drawn: Drawn;
  /** Every time the dough could be ready is tried, not just a few. */
  readonly thorough: boolean;
}

/** Backwards through a strand: the least cost of what is left, from each start of each activity. */
function ahead(
  { problem, board, batchId, earlySlots, outBySlot, drawn }: Try,
  strand: Strand,
  parts: readonly Float64Array[],
  endSlot: number | null,
): Ahead {
  const { earlier, slots } = problem;
  const spans = spansOf(strand, endSlot, problem);
  // no part of the score: of times that are all right the first, so that what goes slower than thought is still in time
  const slack = drawn ? 0 : SLACK;
  const openings = strand.activities.map((activity, at) =>
    board.openings(activity, spans[at]!.from, spans[at]!.to),
  );
  const cost: Float64Array[] = strand.activities.map(() => new Float64Array(slots + 1).fill(NEVER));
  for (let index = strand.activities.length - 1; index >= 0; index -= 1) {
    const activity = strand.activities[index]!;
    const { open, unwanted, idle } = openings[index]!;
    const mine = cost[index]!;
    const next = strand.activities[index + 1];
    const span = spans[index]!;
    const then =
      next &&
      leastWithin(
        cost[index + 1]!,
        next.leastSlots,
        next.mostSlots,
        span.from,
        Math.min(slots, span.to + activity.lastsSlots),
      );
    const wasAt = earlier?.[keyOf(batchId, activity)];
    const lasts = activity.lastsSlots;
    // out of the oven by then, ready by then
    let last = Math.min(slots - lasts, span.to);
    if (activity.heat) last = Math.min(last, outBySlot - lasts);
    if (!then && strand.promise && earlySlots > 0)
      last = Math.min(last, strand.promise.toSlot - earlySlots - lasts);
    const { fromSlot = 0, toSlot = 0 } = (!then && strand.promise) || {};
    const due = !then && strand.promise !== null;
    for (let start = span.from; start <= last; start += 1) {
      if (open[start] === 0) continue;
      const end = start + lasts;
      let sum = unwanted[start]! * WEIGHTS.unwanted + idle[start]! * WEIGHTS.idle;
      if (wasAt !== undefined && wasAt !== start) sum += WEIGHTS.changed;
      if (then) sum += then[end]!;
      else {
        for (const part of parts) sum += part[end]!;
        if (due && end > toSlot) sum += (end - toSlot) * WEIGHTS.late;
        if (due && end < fromSlot) sum += (fromSlot - end) * WEIGHTS.old;
        if (due && end > fromSlot) sum += (end - fromSlot) * slack;
      }
      mine[start] = sum;
    }
  }
  const first = strand.activities[0];
  const fromEnd = first
    ? leastWithin(cost[0]!, first.leastSlots, first.mostSlots)
    : new Float64Array(slots + 1);
  return { strand, openings, cost, fromEnd };
}

/** The starts of each activity of a strand that can be meant at all, once it is known where what it parts from ends. */
function spansOf({ activities }: Strand, endSlot: number | null, { slots, nowSlot = 0 }: DayProblem): { readonly from: number; readonly to: number }[] {
  let from = endSlot ?? 0;
  let to = endSlot ?? slots;
  return activities.map(({ lastsSlots, leastSlots, mostSlots, within }, at) => {
    if (at > 0 || endSlot !== null) {
      from += leastSlots;
      to = mostSlots === null ? slots : Math.min(slots, to + mostSlots);
    }
    from = Math.max(from, within ? within.fromSlot : nowSlot);
    if (within) to = Math.min(to, within.toSlot);
    const span = { from: Math.min(from, slots), to };
    from += lastsSlots;
    to = Math.min(slots, to + lastsSlots);
    return span;
  });
} // prettier-ignore

/** All strands of a variant, those that part from others first. */
function allAhead(one: Try, strands: readonly Strand[], endSlot: number | null = null): ReadonlyMap<string, Ahead> {
  const known = new Map<string, Ahead>();
  for (const strand of strands.toReversed()) {
    const parts = strands.filter(({ afterId }) => afterId === strand.id).map(({ id }) => known.get(id)!.fromEnd);
    known.set(strand.id, ahead(one, strand, parts, strand === strands[0] ? endSlot : null));
  }
  return known;
} // prettier-ignore

/**
 * Of the starts that cost the same one: the last of a batch's first activity, for what need not begin early does not; the soonest of what follows, for slack
 * is worth most at the end. While a plan is looked for now and then any of them: what stands in nobody's way is seen only by trying.
 *
 * @param from to: the starts in question
 */
function oneOfLeast(cost: Float64Array, from: number, to: number, wanted: Wanted, drawn: Drawn): number {
  let least = NEVER;
  let many = 0;
  let best = -1;
  const last = Math.min(cost.length - 1, to);
  for (let at = Math.max(0, from); at <= last; at += 1) {
    const mine = cost[at]!;
    if (mine === NEVER || mine > least) continue;
    if (wanted === 'soonest') return at;
    many = mine < least ? 1 : many + 1;
    if (mine < least || (drawn ? drawn() * many < 1 : wanted === 'last')) best = at;
    least = mine;
  }
  return best;
} // prettier-ignore

/** `soonest`: whatever it costs, so that others find room behind it. */
type Wanted = 'first' | 'last' | 'soonest';
/** Starts alike are drawn by it; null: by rule. */
type Drawn = (() => number) | null;

/** Forwards through a strand from its first start: each next one as the backward pass chose. */
function follow(
  { strand, openings, cost }: Ahead,
  firstSlot: number,
  drawn: Drawn,
  wanted: Wanted = 'first',
): Record<string, Placed> {
  const at: Record<string, Placed> = {};
  let start = firstSlot;
  strand.activities.forEach((activity, index) => {
    if (index > 0) {
      const end = start + strand.activities[index - 1]!.lastsSlots;
      start = oneOfLeast(cost[index]!, end + activity.leastSlots, end + (activity.mostSlots ?? NEVER), wanted, drawn); // prettier-ignore
    }
    const oven = activity.heat ? (activity.heat.ovenIds[openings[index]!.oven[start]!] ?? null) : null;
    at[activity.id] = { startSlot: start, ovenId: oven };
  });
  return at;
}

/** How often the dough is made ready at another time where its breads get into one another's way. */
const MOST_TRIES = 12;

/**
 * Orders in which strands that part from the dough are given their places: the one that comes first may take what another needs. Those of one bread, load by
 * load, stay as they are.
 */
function ordersOf(strands: readonly Strand[]): Strand[][] {
  const [trunk, ...rest] = strands;
  if (!trunk) return [];
  const groups = new Map<string, Strand[]>();
  for (const strand of rest) {
    const bread = strand.id.split('/')[0]!;
    groups.set(bread, [...(groups.get(bread) ?? []), strand]);
  }
  const all = [...groups.values()];
  if (all.length < 2) return [[...strands]];
  const orders = all.length === 2 ? [all, all.toReversed()] : all.map((_, at) => [...all.slice(at), ...all.slice(0, at)]).flatMap((turned) => [turned, [turned[0]!, ...turned.slice(1).toReversed()]]);
  return orders.map((order) => [trunk, ...order.flat()]);
} // prettier-ignore

/** A place for a variant beside what is on the board, the best as far as one pass over its strands tells; it is put on the board. Null: none. */
function placeVariant(one: Try, { id, strands }: Variant): PlacedBatch | null {
  const [trunk] = strands;
  if (!trunk) return null;
  const known = allAhead(one, strands);
  const parts = strands
    .filter(({ afterId }) => afterId === trunk.id)
    .map(({ id: part }) => known.get(part)!.fromEnd);
  // where the dough was ready and its breads got into one another's way
  const refused = new Float64Array(one.problem.slots + 1);
  const orders = ordersOf(strands);
  let root = known.get(trunk.id)!;
  const most = one.thorough ? one.problem.slots : MOST_TRIES;
  for (let tries = 0; tries < most; tries += 1) {
    const first = oneOfLeast(root.cost[0]!, 0, NEVER, 'last', one.drawn);
    if (first === -1) return null;
    const dough = follow(root, first, one.drawn);
    const from = one.drawn ? Math.floor(one.drawn() * orders.length) : 0;
    for (const wanted of ['first', 'soonest'] as const)
      for (let at = 0; at < orders.length; at += 1) {
        const found = placeStrands(one, orders[(from + at) % orders.length]!, dough, wanted);
        if (found) return { variantId: id, at: wanted === 'first' ? found : freshened(one, strands, found) };
      }
    const last = trunk.activities.at(-1);
    if (parts.length === 0 || !last) return null;
    // further and further away: what does not fit here hardly fits a slot beside it
    const ready = dough[last.id]!.startSlot + last.lastsSlots;
    const beside = one.thorough ? 0 : tries >> 1;
    refused.fill(NEVER, Math.max(0, ready - beside), ready + beside + 1);
    root = ahead(one, trunk, [...parts, refused], null);
  }
  return null;
}

function placeStrands(
  one: Try,
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
function placeStrand(one: Try, strands: readonly Strand[], strand: Strand, at: At, wanted: Wanted): Record<string, Placed> | null {
  const last = strands.find(({ id }) => id === strand.afterId)?.activities.at(-1);
  const end = last ? at[last.id]!.startSlot + last.lastsSlots : 0;
  const [head] = strand.activities;
  if (!head) return {};
  const mine = allAhead(one, branch(strands, strand), end).get(strand.id)!;
  const start = oneOfLeast(mine.cost[0]!, end + head.leastSlots, end + (head.mostSlots ?? NEVER), wanted, one.drawn);
  return start === -1 ? null : follow(mine, start, one.drawn, wanted);
} // prettier-ignore

/** What was put as soon as it could be, now that all have their places: each bread as fresh as it can be where it stands. */
function freshened(one: Try, strands: readonly Strand[], at: Record<string, Placed>): Record<string, Placed> {
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
  const one = { problem, board, batchId: batch.id, earlySlots, outBySlot, drawn, thorough };
  let best: { placed: PlacedBatch; score: Score; strands: readonly Strand[] } | null = null;
  for (const variant of variants) {
    const placed = placeVariant(one, variant);
    if (!placed) continue;
    const score = { ...scoreOfBatch(problem, board, batch.id, variant, placed), idle: board.idleSlots() };
    takeStrands(board, batch.id, variant.strands, placed.at);
    if (!best || compareScores(score, best.score) < 0) best = { placed, score, strands: variant.strands };
  }
  if (!best) return null;
  putStrands(board, batch.id, best.strands, best.placed.at);
  return best;
}

/**
 * What a batch costs at the least, whatever the others do: alone, its strands as if they did not hinder one another, its oven on whenever it is wanted. The
 * parts of the score before the ovens'; null: it finds no place whatever is done.
 */
export function leastAlone(problem: DayProblem, batch: DayBatch): Pick<Score, 'late' | 'unwanted' | 'old' | 'taste'> | null {
  const { nowSlot = 0, ovens } = problem;
  const free = { ...problem, litSlot: Object.fromEntries(ovens.map(({ id }) => [id, nowSlot])) };
  const one: Try = { problem: free, board: new Board(free), batchId: batch.id, earlySlots: 0, outBySlot: NEVER, drawn: () => 0, thorough: false };
  let best: Pick<Score, 'late' | 'unwanted' | 'old' | 'taste'> | null = null;
  for (const { strands, tasteCost } of batch.variants) {
    const [trunk] = strands;
    if (!trunk) continue;
    const cost = allAhead(one, strands).get(trunk.id)!.cost[0]!.reduce((least, each) => Math.min(least, each), NEVER);
    if (cost === NEVER) continue;
    const late = Math.floor(cost / WEIGHTS.late);
    const unwanted = Math.floor((cost % WEIGHTS.late) / WEIGHTS.unwanted);
    const old = Math.floor((cost % WEIGHTS.unwanted) / WEIGHTS.old);
    const found = { late, unwanted, old, taste: tasteCost };
    if (!best || compareScores({ ...NOTHING, ...found }, { ...NOTHING, ...best }) < 0) best = found;
  }
  return best;
} // prettier-ignore
