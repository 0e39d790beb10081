import { boardWith } from './collision';
import { DAY_LIMITS } from './dayLimits';
import type { Day } from './dayOf';
import type { DayBatch, DayPlan } from './dayProblem';
import { placeBatch } from './placeBatch';
import { playPlan, type Outcome } from './play';
import { variantOf } from './score';

/** A promise that holds less often than this is not sure, and being earlier has to be worth so much. */
const SURE = 0.85;
const WORTH = 0.1;
/** Told in quarters of an hour. */
const STEP_MIN = 15;

/** The same batch, wanted so many slots sooner; when it really has to be ready is not forgotten. */
function soonerBy(batch: DayBatch, slots: number): DayBatch {
  const variants = batch.variants.map((variant) => ({
    ...variant,
    strands: variant.strands.map((strand) => {
      const { promise } = strand;
      if (!promise) return strand;
      const toSlot = promise.toSlot - slots;
      const heldSlot = promise.heldSlot ?? promise.toSlot;
      return { ...strand, promise: { fromSlot: Math.min(promise.fromSlot, toSlot), toSlot, heldSlot } };
    }),
  }));
  return { ...batch, variants };
}

export interface Surer {
  /** So much before it has to be ready it is planned to be. */
  readonly spareMin: number;
  /** How often the promise holds then, 0 to 1. */
  readonly chance: number;
}

/**
 * How much sooner a batch that is in time, but not surely, would have to be planned so that it is in time on nine days of ten: planned beside all others as
 * they lie, and played. Null: it is sure enough, it has begun, it finds no sooner place, or that would be worth little.
 *
 * @param outcome how the plan turns out for it
 */
export function surerBy(day: Day, plan: DayPlan, outcome: Outcome, play: { readonly seed: number; readonly draws: number }): Surer | null {
  const { batchId, chance, ready } = outcome;
  const { problem, slotMs } = day;
  const batch = problem.batches.find(({ id }) => id === batchId);
  const placed = plan.batches[batchId];
  const variant = placed && variantOf(problem, batchId, placed);
  if (!batch || !variant || chance >= SURE) return null;
  const promises = variant.strands.flatMap(({ promise }) => (promise ? [promise] : []));
  const heldSlot = Math.min(...promises.map((promise) => promise.heldSlot ?? promise.toSlot));
  const already = heldSlot - Math.min(...promises.map(({ toSlot }) => toSlot));
  const slotMin = slotMs / 60_000;
  const overMin = Math.max(1, (ready.high - heldSlot) * slotMin);
  const spareMin = Math.ceil((already * slotMin + overMin) / STEP_MIN) * STEP_MIN;
  if (spareMin > DAY_LIMITS.spareMin.max) return null;
  const sooner = soonerBy(batch, Math.round(spareMin / slotMin) - already);
  const others = problem.batches.map(({ id }) => id).filter((id) => id !== batchId && plan.batches[id]);
  const found = placeBatch(problem, boardWith(problem, plan, others), sooner, { thorough: true });
  if (!found || found.score.late > 0) return null;
  const batches = problem.batches.map((each) => (each === batch ? sooner : each));
  const played = playPlan({ ...day, problem: { ...problem, batches } }, { batches: { ...plan.batches, [batchId]: found.placed } }, play);
  const then = played.find((each) => each.batchId === batchId)?.chance ?? 0;
  return then >= chance + WORTH ? { spareMin, chance: then } : null;
} // prettier-ignore
