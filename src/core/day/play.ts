import { normalAbove } from '../numeric/draws';
import { Z80 } from '../numeric/normal';
import { middleOf, quantileOf } from '../numeric/quantile';
import { seededRandom } from '../numeric/seededRandom';
import type { Day } from './dayOf';
import type { DayActivity, DayPlan, Strand, Placed } from './dayProblem';
import { changeSlots, mayShare } from './ovenChange';
import { keyOf, variantOf } from './score';

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
const RISES = new Set(['bulk', 'proof', 'preDough', 'bloom']);
/** How long a rise takes to be where it should be, relative sd, where nobody gave a wider range: yeast, warmth of the room and of the dough (docs/models.md, Ranges). */
const RISE_CV = 0.18;
/** Work and ovens that nobody gave a range, relative sd. */
const PLAIN_CV = 0.05;

interface Step {
  readonly batchId: string;
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
        steps.push({ batchId, strand, activity, placed: placed!.at[activity.id]!, before });
        before = activity.id;
      }
    }
  }
  return steps.sort((a, b) => a.placed.startSlot - b.placed.startSlot);
}

/**
 * Plays a plan: nothing begins before it is planned, before what it needs is done, before its oven is free and as hot as it has to be, and before somebody has
 * hands; everything lasts as long as it is drawn. The same for the same seed.
 *
 * @param yeast how much slower all rises are than was thought, for days a test makes up; 1: as thought
 */
export function playPlan(day: Day, plan: DayPlan, { seed, draws, yeast = 1 }: { seed: number; draws: number; yeast?: number }): Outcome[] {
  const { problem } = day;
  const steps = stepsOf(day, plan);
  const random = seededRandom(seed);
  const normal = () => normalAbove(Math.min(1 - 1e-9, Math.max(1e-9, random())));
  const ready = new Map<string, number[]>();
  const inTime = new Map<string, number>();
  const ovens = new Map(problem.ovens.map((oven) => [oven.id, oven]));
  const people = new Int16Array(problem.slots * 2);
  for (const { fromSlot, toSlot, people: there } of problem.hands)
    for (let at = Math.max(0, fromSlot); at < toSlot; at += 1) people[at]! += there;
  for (let draw = 0; draw < draws; draw += 1) {
    const batchZ = new Map(problem.batches.map(({ id }) => [id, normal()]));
    const ends = new Map<string, number>();
    const busy = new Int16Array(people.length);
    const visits: { ovenId: string; end: number; step: Step }[] = [];
    const onTime = new Map<string, boolean>();
    const last = new Map<string, number>();
    for (const step of steps) {
      const { batchId, activity, placed, before, strand } = step;
      const block = day.blocks.get(keyOf(batchId, activity));
      const rises = block !== undefined && RISES.has(block.kind);
      const own = normal();
      const z = rises ? Math.sqrt(SHARED) * batchZ.get(batchId)! + Math.sqrt(1 - SHARED) * own : own;
      const { typical, max } = block?.lastsS ?? { typical: 1, max: 1 };
      const cv = Math.max(rises ? RISE_CV : PLAIN_CV, Math.log(Math.max(1, max / Math.max(1, typical))) / Z80);
      const lasts = activity.lastsSlots * Math.exp(cv * z) * (rises ? yeast : 1);
      let start = Math.max(placed.startSlot, before === null ? 0 : (ends.get(`${batchId} ${before}`) ?? 0));
      for (const visit of visits) {
        const { heat } = activity;
        const oven = ovens.get(visit.ovenId);
        if (!heat || !oven || visit.ovenId !== placed.ovenId) continue;
        const theirs = visit.step.activity.heat!;
        const together = mayShare(theirs, heat) && visit.step.placed.startSlot + visit.step.activity.lastsSlots > placed.startSlot;
        if (!together) start = Math.max(start, visit.end + changeSlots(oven, theirs, heat));
      }
      start = handed(activity, start, lasts, people, busy);
      const end = start + lasts;
      ends.set(`${batchId} ${activity.id}`, end);
      if (activity.heat && placed.ovenId) visits.push({ ovenId: placed.ovenId, end, step });
      if (strand.activities.at(-1) !== activity || !strand.promise) continue;
      last.set(batchId, Math.max(last.get(batchId) ?? 0, end));
      // a minute is no matter, a slot is
      onTime.set(batchId, (onTime.get(batchId) ?? true) && end <= strand.promise.toSlot + 1);
    }
    for (const [batchId, end] of last) {
      ready.set(batchId, [...(ready.get(batchId) ?? []), end]);
      inTime.set(batchId, (inTime.get(batchId) ?? 0) + (onTime.get(batchId) ? 1 : 0));
    }
  }
  return [...ready].map(([batchId, all]) => {
    return {
      batchId,
      ready: { ...middleOf(all), middle: quantileOf(all, 0.5) },
      chance: (inTime.get(batchId) ?? 0) / draws,
    };
  });
} // prettier-ignore

/** The first moment from which somebody has hands for it; they are busy then. What reaches beyond the day is let be. */
function handed({ hands, lastsSlots }: DayActivity, from: number, lasts: number, people: Int16Array, busy: Int16Array): number {
  const stretch = lasts / lastsSlots;
  // to take out is at the end, however long it lasted
  const spans = hands.map(({ fromSlot, toSlot }) => ({ from: fromSlot * stretch, to: fromSlot * stretch + toSlot - fromSlot }));
  for (let start = from; ; start = Math.floor(start) + 1) {
    const slots = spans.flatMap((span) => {
      const first = Math.floor(start + span.from);
      return Array.from({ length: Math.max(1, Math.ceil(start + span.to) - first) }, (_, at) => first + at);
    });
    const known = slots.filter((slot) => slot < people.length);
    if (start > people.length || known.every((slot) => busy[slot]! < people[slot]!)) {
      for (const slot of known) busy[slot]! += 1;
      return start;
    }
  }
} // prettier-ignore
