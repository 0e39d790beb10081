import type { Board, Openings } from './board';
import type { DayProblem, Strand } from './dayProblem';
import { leastWithin, type BySlot } from './leastWithin';
import { keyOf, type Score } from './score';
import { likeness } from './strandOrders';

export const NEVER = Infinity;
const SLACK = 2 ** -12;

/**
 * The parts of the score as one number, the first far above the next. Exact as long as a batch is late by no more than 500 slots; beyond that the last
 * parts blur, which decides nothing.
 */
export const WEIGHTS = {
  late: 2 ** 43,
  unwanted: 2 ** 32,
  old: 2 ** 16,
  idle: 2 ** 6,
  changed: 1,
} as const;

/** The parts of the score before taste, of one number; an oven hot for less than before takes one off the last of them, so that it is never too much. */
export const partsOf = (cost: number): Pick<Score, 'late' | 'unwanted' | 'old'> => ({
  late: Math.floor(cost / WEIGHTS.late),
  unwanted: Math.floor((cost % WEIGHTS.late) / WEIGHTS.unwanted),
  old: Math.floor((cost % WEIGHTS.unwanted) / WEIGHTS.old),
});

/** The starts of an activity in question, both ends included. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** What a start of each activity of a strand costs by itself; of the last one with what comes of its end. Infinity where it cannot begin. */
export interface Own {
  readonly strand: Strand;
  readonly openings: readonly Openings[];
  readonly costs: readonly BySlot[];
}

/** What a start of each activity of a strand costs from there to the end of all that parts from it. */
export interface Ahead extends Own {
  readonly ahead: readonly BySlot[];
}

/** Beside what, and how, a batch is to find its place. */
export interface Try {
  readonly problem: DayProblem;
  readonly board: Board;
  readonly batchId: string;
  /** Ready so many slots before it has to be, so that others find room behind it. */
  readonly earlySlots: number;
  /** Out of the oven by then, so that others have it. */
  readonly outBySlot: number;
  /** Starts alike are drawn by it; null: by rule. */
  readonly drawn: (() => number) | null;
  /** What ovens are hot for nothing does not count. */
  readonly ovensFree?: boolean;
}

/** @param parts what parts from the end of the strand costs, by that end */
export function ownCosts(
  { problem, board, batchId, earlySlots, outBySlot, drawn, ovensFree = false }: Try,
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
    if (idle && !ovensFree) for (let at = 0; at < size; at += 1) values[at]! += idle[at]! * WEIGHTS.idle;
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
export function ahead(own: Own, spans: readonly Span[]): Ahead {
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
export function byEnd({ strand: { activities }, costs }: Own, slots: number): BySlot {
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
export function fromEnds({ strand, ahead: [costs] }: Ahead, { from, to }: Span): BySlot {
  const [head] = strand.activities;
  if (!head || !costs) return { from, values: new Float64Array(to - from + 1) };
  return leastWithin(costs, head.leastSlots, head.mostSlots, from, to);
}

/** The starts of each activity of a strand that can be meant at all, once it is known where what it parts from ends. */
export function spansOf({ activities }: Strand, endSlot: number | null, { slots, nowSlot = 0 }: DayProblem): Span[] {
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
export function spansBefore({ strand: { activities }, costs }: Own, ends: Span): Span[] {
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
export function aheadOf(one: Try, [first, ...others]: readonly Strand[], endSlot: number | null): Own | null {
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
