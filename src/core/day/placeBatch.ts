import { Board, type Openings } from './board';
import type { DayBatch, DayProblem, Strand, Placed, PlacedBatch, Variant } from './dayProblem';
import { leastWithin, valueAt, type BySlot } from './leastWithin';
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

/** The parts of the score before taste, of one number; an oven hot for less than before takes one off the last of them, so that it is never too much. */
const partsOf = (cost: number): Pick<Score, 'late' | 'unwanted' | 'old'> => ({
  late: Math.floor(cost / WEIGHTS.late),
  unwanted: Math.floor((cost % WEIGHTS.late) / WEIGHTS.unwanted),
  old: Math.floor((cost % WEIGHTS.unwanted) / WEIGHTS.old),
});

/** The starts of an activity in question, both ends included. */
interface Span {
  readonly from: number;
  readonly to: number;
}

/** What a start of each activity of a strand costs by itself; of the last one with what comes of its end. Infinity where it cannot begin. */
interface Own {
  readonly strand: Strand;
  readonly openings: readonly Openings[];
  readonly costs: readonly BySlot[];
}

/** What a start of each activity of a strand costs from there to the end of all that parts from it. */
interface Ahead extends Own {
  readonly ahead: readonly BySlot[];
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

/** @param parts what parts from the end of the strand costs, by that end */
function ownCosts(
  { problem, board, batchId, earlySlots, outBySlot, drawn }: Try,
  strand: Strand,
  parts: readonly BySlot[],
  spans: readonly Span[],
): Own {
  const { earlier, slots } = problem;
  // no part of the score: of times that are all right the first, so that what goes slower than thought is still in time
  const slack = drawn ? 0 : SLACK;
  const openings: Openings[] = [];
  const costs = strand.activities.map((activity, index): BySlot => {
    const { from, to } = spans[index]!;
    const values = new Float64Array(Math.max(0, to - from + 1)).fill(NEVER);
    const found = board.openings(activity, from, to);
    openings.push(found);
    const { open, unwanted, idle } = found;
    const isLast = index === strand.activities.length - 1;
    const wasAt = earlier?.[keyOf(batchId, activity)];
    const lasts = activity.lastsSlots;
    // out of the oven by then, ready by then
    let last = Math.min(slots - lasts, to);
    if (activity.heat) last = Math.min(last, outBySlot - lasts);
    const due = isLast ? strand.promise : null;
    if (due && earlySlots > 0) last = Math.min(last, due.toSlot - earlySlots - lasts);
    const size = last - from + 1;
    if (size <= 0) return { from, values };
    if (!open) values.fill(0, 0, size);
    else for (let at = 0; at < size; at += 1) if (open[at] === 1) values[at] = 0;
    if (unwanted) for (let at = 0; at < size; at += 1) values[at]! += unwanted[at]! * WEIGHTS.unwanted;
    if (idle) for (let at = 0; at < size; at += 1) values[at]! += idle[at]! * WEIGHTS.idle;
    if (wasAt !== undefined)
      for (let at = 0; at < size; at += 1) if (from + at !== wasAt) values[at]! += WEIGHTS.changed;
    if (!isLast) return { from, values };
    for (const { from: partFrom, values: part } of parts)
      for (let at = 0; at < size; at += 1) values[at]! += part[from + at + lasts - partFrom]!;
    if (due)
      for (let at = 0; at < size; at += 1) {
        const end = from + at + lasts;
        if (end > due.toSlot) values[at]! += (end - due.toSlot) * WEIGHTS.late;
        if (end < due.fromSlot) values[at]! += (due.fromSlot - end) * WEIGHTS.old;
        else values[at]! += (end - due.fromSlot) * slack;
      }
    return { from, values };
  });
  return { strand, openings, costs };
}

/** Backwards through a strand: the least cost of what is left, from each start of each activity. */
function ahead(own: Own, spans: readonly Span[]): Ahead {
  const { activities } = own.strand;
  const found: BySlot[] = [];
  for (let index = activities.length - 1; index >= 0; index -= 1) {
    const { lastsSlots } = activities[index]!;
    const next = activities[index + 1];
    const { from, to } = spans[index]!;
    const mine = own.costs[index]!;
    const then = next && leastWithin(found[index + 1]!, next.leastSlots, next.mostSlots, from + lastsSlots, to + lastsSlots);
    const values = new Float64Array(Math.max(0, to - from + 1));
    const shift = from - mine.from;
    for (let at = 0; at < values.length; at += 1) values[at] = mine.values[shift + at]! + (then ? then.values[at]! : 0);
    found[index] = { from, values };
  }
  return { ...own, ahead: found };
} // prettier-ignore

/** Forwards through a strand: the least cost of all of it and what parts from it, by its end. */
function byEnd({ strand: { activities }, costs }: Own, slots: number): BySlot {
  let sums: BySlot = { from: 0, values: new Float64Array(0) };
  activities.forEach(({ leastSlots, mostSlots }, index) => {
    const { from, values: own } = costs[index]!;
    const values = Float64Array.from(own);
    if (index > 0) {
      const before = leastWithin(sums, -(mostSlots ?? slots), -leastSlots, from, from + values.length - 1);
      for (let at = 0; at < values.length; at += 1) values[at]! += before.values[at]!;
    }
    sums = { from: from + activities[index]!.lastsSlots, values };
  });
  return sums;
}

/** What a strand costs by the slot in which what it parts from ends. */
function fromEnds({ strand, ahead: [costs] }: Ahead, { from, to }: Span): BySlot {
  const [head] = strand.activities;
  if (!head || !costs) return { from, values: new Float64Array(to - from + 1) };
  return leastWithin(costs, head.leastSlots, head.mostSlots, from, to);
}

/** The starts of each activity of a strand that can be meant at all, once it is known where what it parts from ends. */
function spansOf({ activities }: Strand, endSlot: number | null, { slots, nowSlot = 0 }: DayProblem): Span[] {
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

/** Of the starts whose costs are known those from which a strand can end within a span. */
function spansBefore({ strand: { activities }, costs }: Own, ends: Span): Span[] {
  const spans: Span[] = [];
  let { from, to } = ends;
  for (let index = activities.length - 1; index >= 0; index -= 1) {
    const { lastsSlots, leastSlots, mostSlots } = activities[index]!;
    const { from: first, values } = costs[index]!;
    from = Math.max(from - lastsSlots, first);
    to = Math.min(to - lastsSlots, first + values.length - 1);
    spans[index] = { from, to };
    from = mostSlots === null ? 0 : from - mostSlots;
    to -= leastSlots;
  }
  return spans;
}

/** Strands by what each costs ahead, as if none hindered another; the first from where it can begin, behind `endSlot`. */
function aheadOf(one: Try, [first, ...others]: readonly Strand[], endSlot: number | null): Own | null {
  if (!first) return null;
  const { slots } = one.problem;
  const ends: Span = { from: 0, to: slots };
  const known = new Map<string, BySlot>();
  const partsOf = ({ id }: Strand) => others.filter(({ afterId }) => afterId === id).map((part) => known.get(part.id)!);
  // loads that are alike cost the same by themselves
  const alike = new Map<string, Own>();
  for (const strand of others.toReversed()) {
    const spans = spansOf(strand, null, one.problem);
    const parts = partsOf(strand);
    const like = parts.length === 0 && !one.problem.earlier ? likeness(strand) : strand.id;
    const own = alike.get(like) ?? ownCosts(one, strand, parts, spans);
    alike.set(like, own);
    known.set(strand.id, fromEnds(ahead({ ...own, strand }, spans), ends));
  }
  return ownCosts(one, first, partsOf(first), spansOf(first, endSlot, one.problem));
} // prettier-ignore

/**
 * Of the starts that cost the same one: the last of a batch's first activity, for what need not begin early does not; the soonest of what follows, for slack
 * is worth most at the end. While a plan is looked for now and then any of them: what stands in nobody's way is seen only by trying.
 *
 * @param from to: the starts in question
 */
function oneOfLeast({ from: first, values }: BySlot, from: number, to: number, wanted: Wanted, drawn: Drawn): number {
  let least = NEVER;
  let many = 0;
  let best = -1;
  const last = Math.min(values.length - 1, to - first);
  for (let at = Math.max(0, from - first); at <= last; at += 1) {
    const mine = values[at]!;
    if (mine === NEVER || mine > least) continue;
    if (wanted === 'soonest') return first + at;
    many = mine < least ? 1 : many + 1;
    if (mine < least || (drawn ? drawn() * many < 1 : wanted === 'last')) best = first + at;
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
  { strand, openings, ahead: costs }: Ahead,
  firstSlot: number,
  drawn: Drawn,
  wanted: Wanted = 'first',
): Record<string, Placed> {
  const at: Record<string, Placed> = {};
  let start = firstSlot;
  strand.activities.forEach((activity, index) => {
    if (index > 0) {
      const end = start + strand.activities[index - 1]!.lastsSlots;
      start = oneOfLeast(costs[index]!, end + activity.leastSlots, end + (activity.mostSlots ?? NEVER), wanted, drawn); // prettier-ignore
    }
    const oven = activity.heat ? (activity.heat.ovenIds[openings[index]!.oven?.[start - openings[index]!.from] ?? 0] ?? null) : null;
    at[activity.id] = { startSlot: start, ovenId: oven };
  });
  return at;
}

/** How often the dough is made ready at another time where its breads get into one another's way. */
const MOST_TRIES = 12;

/** What two strands that are alike but for how long they may wait have in common. */
function likeness(strand: Strand): string {
  const known = likenesses.get(strand);
  if (known !== undefined) return known;
  const { afterId, activities, promise } = strand;
  const like = JSON.stringify([afterId, promise, activities.map(({ lastsSlots, leastSlots, hands, uses, heat, within }) => [lastsSlots, leastSlots, hands, uses, heat, within])]);
  likenesses.set(strand, like);
  return like;
} // prettier-ignore
const likenesses = new WeakMap<Strand, string>();

const ordersByStrands = new WeakMap<readonly Strand[], readonly (readonly Strand[])[]>();

/**
 * Orders in which strands that part from the dough are given their places: the one that comes first may take what another needs. Those of one bread, load by
 * load, and those that are alike stay as they are.
 */
function ordersOf(strands: readonly Strand[]): readonly (readonly Strand[])[] {
  const known = ordersByStrands.get(strands);
  if (known) return known;
  const [trunk, ...rest] = strands;
  if (!trunk) return [];
  const groups = new Map<string, Strand[]>();
  const groupByLikeness = new Map<string, string>();
  for (const strand of rest) {
    const bread = strand.id.split('/')[0]!;
    const isLoad = strand.afterId === trunk.id && !rest.some(({ afterId }) => afterId === strand.id);
    const like = isLoad ? likeness(strand) : bread;
    const group = groupByLikeness.get(like) ?? bread;
    groupByLikeness.set(like, group);
    groups.set(group, [...(groups.get(group) ?? []), strand]);
  }
  const all = [...groups.values()];
  const turns = all.length < 3 ? [all, ...(all.length === 2 ? [all.toReversed()] : [])] : all.map((_, at) => [...all.slice(at), ...all.slice(0, at)]).flatMap((turned) => [turned, [turned[0]!, ...turned.slice(1).toReversed()]]);
  const orders = turns.map((order) => [trunk, ...order.flat()]);
  ordersByStrands.set(strands, orders);
  return orders;
} // prettier-ignore

/** Ends that cost the same as the best one and lie so near before it are as good. */
const ALIKE_SLOTS = 24;

/** A place for a variant beside what is on the board, the best as far as one pass over its strands tells; it is put on the board. Null: none that could be better than `beat`. */
function placeVariant(one: Try, { id, strands, tasteCost }: Variant, beat: Score | null): PlacedBatch | null {
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
  const own = aheadOf(one, branch(strands, strand), end)!;
  const mine = ahead(own, spansOf(strand, end, one.problem));
  const start = oneOfLeast(mine.ahead[0]!, end + head.leastSlots, end + (head.mostSlots ?? NEVER), wanted, one.drawn);
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
    const placed = placeVariant(one, variant, best?.score ?? null);
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
    const own = aheadOf(one, strands, null);
    if (!own) continue;
    const cost = byEnd(own, problem.slots).values.reduce((least, each) => Math.min(least, each), NEVER);
    if (cost === NEVER) continue;
    const found = { ...partsOf(cost), taste: tasteCost };
    if (!best || compareScores({ ...NOTHING, ...found }, { ...NOTHING, ...best }) < 0) best = found;
  }
  return best;
} // prettier-ignore
