import { normalAbove } from '../numeric/draws';
import { Z80 } from '../numeric/normal';
import { middleOf, quantileOf } from '../numeric/quantile';
import { seededRandom } from '../numeric/seededRandom';
import type { Day } from './dayOf';
import {
  peopleBySlot,
  type DayActivity,
  type DayOven,
  type DayPlan,
  type DayProblem,
  type Placed,
  type Strand,
} from './dayProblem';
import { RISES } from './blockKind';
import type { Block } from './strandsOf';
import { changeSlots, mayShare } from './ovenChange';
import { blockKey, variantOf } from './score';

/** How a plan turns out for one batch, over days on which everything takes as long as it takes. */
export interface Outcome {
  readonly batchId: string;
  /** When it is ready, slots: on one day of ten sooner, as often as not, on one of ten later. */
  readonly ready: { readonly low: number; readonly middle: number; readonly high: number };
  /** How often all of it is ready by its time, 0 to 1. */
  readonly chance: number;
}

/** What goes well together: one yeast, one flour for all that rises in a batch. Of the variance of its rises so much is the batch's. */
const SHARED = 0.64;
/** How long a rise takes to be where it should be, relative sd, where nobody gave a wider range: yeast, warmth of the room and of the dough (docs/models.md, Ranges). */
const RISE_CV = 0.18;
/** How many yeasts are a quarter livelier or lazier than they should be, and by how much. */
const OFF_SHARE = 0.2;
const OFF_BY = 1.25;
/** Work and ovens that nobody gave a range, relative sd. */
const PLAIN_CV = 0.05;

interface Step {
  readonly batchId: string;
  readonly variantId: string;
  readonly strand: Strand;
  readonly activity: DayActivity;
  readonly placed: Placed;
  readonly before: string | null;
}

/** The activities of a plan in the order in which they begin, each with what has to be done before it. */
function stepsOf({ problem }: Day, plan: DayPlan): Step[] {
  const steps: Step[] = [];
  for (const { id: batchId } of problem.batches) {
    const placed = plan.batches[batchId];
    const variant = placed && variantOf(problem, batchId, placed);
    for (const strand of variant?.strands ?? []) {
      let before = variant?.strands.find(({ id }) => id === strand.afterId)?.activities.at(-1)?.id ?? null;
      for (const activity of strand.activities) {
        steps.push({
          batchId,
          variantId: placed!.variantId,
          strand,
          activity,
          placed: placed!.at[activity.id]!,
          before,
        });
        before = activity.id;
      }
    }
  }
  return steps.sort((a, b) => a.placed.startSlot - b.placed.startSlot);
}

/** One drawn day: who is busy when, what is in use until when. */
class PlayedDay {
  private readonly ends = new Map<string, number>();
  private readonly busy: { readonly from: number; readonly to: number }[] = [];
  private readonly visits: {
    readonly activity: DayActivity;
    readonly placed: Placed;
    readonly end: number;
  }[] = [];
  private readonly freeFrom = new Map<string, number>();
  private readonly ovens: ReadonlyMap<string, DayOven>;

  constructor(
    private readonly problem: DayProblem,
    private readonly people: Int16Array,
  ) {
    this.ovens = new Map(problem.ovens.map((oven) => [oven.id, oven]));
    // what has begun has its hands and its oven, until when it is thought to
    for (const { activity, startSlot, ovenId } of problem.facts ?? []) {
      const end = startSlot + activity.lastsSlots;
      for (const { fromSlot, toSlot } of activity.hands)
        this.busy.push({ from: startSlot + fromSlot, to: startSlot + toSlot });
      for (const { resourceId } of activity.uses.filter((use) => this.isOneOf(use.resourceId)))
        this.freeFrom.set(resourceId, Math.max(end, this.freeFrom.get(resourceId) ?? 0));
      if (activity.heat && ovenId !== null)
        this.visits.push({ activity, placed: { startSlot, ovenId }, end });
    }
  }

  /** Batches whose bread nobody took out of the oven when it was done. */
  readonly burnt = new Set<string>();

  /** Does a step that lasts so many slots; when it ends. */
  do(step: Step, lasts: number): number {
    const { batchId, activity, placed, before } = step;
    let from = Math.max(placed.startSlot, before === null ? 0 : (this.ends.get(`${batchId} ${before}`) ?? 0));
    for (const { resourceId } of activity.uses) from = Math.max(from, this.freeFrom.get(resourceId) ?? 0);
    from = Math.max(from, this.ovenFrom(step));
    const hands = activity.hands.map((span) => drawnSpan(span, activity.lastsSlots, lasts));
    const [out] = activity.heat && hands.length > 1 ? hands.slice(-1) : [];
    const start = this.handedFrom(from, out ? hands.slice(0, -1) : hands);
    // an oven does not wait until somebody is back
    if (out && this.nobodyAt(start + out.to)) this.burnt.add(batchId);
    for (const span of hands) this.busy.push({ from: start + span.from, to: start + span.to });
    const end = start + lasts;
    this.ends.set(`${batchId} ${activity.id}`, end);
    for (const { resourceId } of activity.uses) if (this.isOneOf(resourceId)) this.freeFrom.set(resourceId, end);
    if (activity.heat && placed.ovenId) this.visits.push({ activity, placed, end });
    return end;
  } // prettier-ignore

  private isOneOf(resourceId: string): boolean {
    return this.problem.resources.find(({ id }) => id === resourceId)?.capacity === 1;
  }

  private nobodyAt(slot: number): boolean {
    return (this.people[Math.floor(slot)] ?? 1) === 0;
  }

  /** When its oven is free of what was to be in it before, and as hot as it has to be. */
  private ovenFrom({ activity: { heat }, placed }: Step): number {
    const oven = placed.ovenId === null ? undefined : this.ovens.get(placed.ovenId);
    if (!heat || !oven) return 0;
    return this.visits.reduce((from, { activity, placed: was, end }) => {
      const theirs = activity.heat;
      if (!theirs || was.ovenId !== placed.ovenId) return from;
      const wasIn = was.startSlot + activity.lastsSlots > placed.startSlot;
      return wasIn && mayShare(theirs, heat) ? from : Math.max(from, end + changeSlots(oven, theirs, heat));
    }, 0);
  }

  /** The first moment from which somebody has hands for it. What reaches beyond the day is let be. */
  private handedFrom(from: number, hands: readonly { readonly from: number; readonly to: number }[]): number {
    let start = from;
    for (;;) {
      const next = hands.reduce((later, span) => Math.max(later, this.blockedUntil(start + span.from, start + span.to) - span.from), start);
      if (next <= start || next > this.people.length) return start;
      start = next;
    }
  } // prettier-ignore

  /** Until when too many are busy in a stretch, or nobody is there; its beginning where neither is so. */
  private blockedUntil(from: number, to: number): number {
    const moments = [from, ...this.busy.flatMap((each) => (each.from > from && each.from < to ? [each.from] : []))];
    for (let slot = Math.floor(from) + 1; slot < to; slot += 1) moments.push(slot);
    for (const at of moments) {
      const there = this.people[Math.floor(at)];
      if (there === undefined) continue;
      const taken = this.busy.filter((each) => each.from <= at && each.to > at);
      if (taken.length < there) continue;
      return there === 0 ? Math.floor(at) + 1 : Math.min(...taken.map((each) => each.to));
    }
    return from;
  } // prettier-ignore
}

/** Hands of a step that lasts so long: all through all through, to take out at its end, to put in as long as that takes. */
function drawnSpan({ fromSlot, toSlot }: DayActivity['hands'][number], lastsSlots: number, lasts: number) {
  const long = toSlot - fromSlot;
  if (long === lastsSlots) return { from: 0, to: lasts };
  const from = toSlot === lastsSlots ? lasts - long : (fromSlot * lasts) / lastsSlots;
  return { from, to: from + long };
}

/** How long something that has begun still takes of what it was drawn: what is done took as long as it did, what is not lasts until now at least. */
function begunSlots({ activity: { lastsSlots }, placed }: Step, drawn: number, nowSlot: number): number {
  const sinceSlots = nowSlot - placed.startSlot;
  return lastsSlots < sinceSlots ? lastsSlots : Math.max(sinceSlots, drawn);
}

/** How long a step lasts as its draws have it, slots. */
function drawnSlots(block: Block | undefined, { lastsSlots }: DayActivity, batchZ: number, ownZ: number, yeast: number): number {
  const rises = block !== undefined && RISES.has(block.kind);
  const z = rises ? Math.sqrt(SHARED) * batchZ + Math.sqrt(1 - SHARED) * ownZ : ownZ;
  const { typical, max } = block?.lastsS ?? { typical: 1, max: 1 };
  const cv = Math.max(rises ? RISE_CV : PLAIN_CV, Math.log(Math.max(1, max / Math.max(1, typical))) / Z80);
  return lastsSlots * Math.exp(cv * z) * (rises ? yeast : 1);
} // prettier-ignore

/**
 * Plays a plan: nothing begins before it is planned, before what it needs is done, before its oven is free and as hot as it has to be, its mixer or kettle
 * free, and somebody has hands; everything lasts as long as it is drawn. The same for the same seed.
 *
 * @param yeast how much slower all rises are than was thought, for days a test makes up; 1: as thought
 */
export function playPlan(
  day: Day,
  plan: DayPlan,
  { seed, draws, yeast = 1 }: { seed: number; draws: number; yeast?: number },
): Outcome[] {
  const { problem, blocks } = day;
  const { nowSlot = 0 } = problem;
  const steps = stepsOf(day, plan);
  const random = seededRandom(seed);
  const normal = () => normalAbove(Math.min(1 - 1e-9, Math.max(1e-9, random())));
  const people = peopleBySlot(problem, { leaving: true });
  const ready = new Map<string, number[]>();
  const inTime = new Map<string, number>();
  for (let draw = 0; draw < draws; draw += 1) {
    const played = new PlayedDay(problem, people);
    const batchZ = new Map(problem.batches.map(({ id }) => [id, normal()]));
    // one yeast of five is not what its packet says
    const off = new Map(
      problem.batches.map(({ id }) => [
        id,
        random() < OFF_SHARE ? (random() < 0.5 ? 1 / OFF_BY : OFF_BY) : 1,
      ]),
    );
    const last = new Map<string, number>();
    const late = new Set<string>();
    for (const step of steps) {
      const { batchId, variantId, activity, strand } = step;
      const block = blocks.get(blockKey(batchId, variantId, activity));
      const drawn = drawnSlots(
        block,
        activity,
        batchZ.get(batchId)!,
        normal(),
        yeast * (off.get(batchId) ?? 1),
      );
      const hasBegun = (activity.within?.toSlot ?? Infinity) < nowSlot;
      const end = played.do(step, hasBegun ? begunSlots(step, drawn, nowSlot) : drawn);
      if (!strand.promise || strand.activities.at(-1) !== activity) continue;
      last.set(batchId, Math.max(last.get(batchId) ?? 0, end));
      // a minute is no matter, a slot is
      if (end > (strand.promise.heldSlot ?? strand.promise.toSlot) + 1) late.add(batchId);
    }
    for (const batchId of played.burnt) late.add(batchId);
    for (const [batchId, end] of last) {
      ready.set(batchId, [...(ready.get(batchId) ?? []), end]);
      if (!late.has(batchId)) inTime.set(batchId, (inTime.get(batchId) ?? 0) + 1);
    }
  }
  return [...ready].map(([batchId, all]) => ({
    batchId,
    ready: { ...middleOf(all), middle: quantileOf(all, 0.5) },
    chance: (inTime.get(batchId) ?? 0) / draws,
  }));
}
