import type { Allergen } from '../ingredients';
import type { DayBatch, DayPlan, DayProblem } from './dayProblem';
import { compareScores, variantOf } from './score';
import { searchDay, type Found } from './searchDay';

/** So much older than it need be breads may be at their time, all together, for the sake of the order, min. */
const OLDER_MIN = 90;

/** What each batch holds of what is kept apart, and whether it has been worked already. */
export type HoldsOf = ReadonlyMap<string, { readonly holds: readonly Allergen[]; readonly begun: boolean }>;

/** A batch without something is worked after one with it. */
export interface MixedUp {
  /** It holds these, and was worked first. */
  readonly withId: string;
  readonly withoutId: string;
  readonly allergens: readonly Allergen[];
  /** When the one without is worked next, slot. */
  readonly slot: number;
}

/** Slots at which somebody works at a batch. */
function workOf(problem: DayProblem, plan: DayPlan, batchId: string): { readonly first: number; readonly last: number; readonly starts: readonly number[] } | null {
  const placed = plan.batches[batchId];
  const variant = placed && variantOf(problem, batchId, placed);
  const spans = (variant?.strands ?? []).flatMap(({ activities }) =>
    activities.flatMap(({ id, hands }) => hands.map(({ fromSlot, toSlot }) => [placed!.at[id]!.startSlot + fromSlot, placed!.at[id]!.startSlot + toSlot] as const)),
  );
  if (spans.length === 0) return null;
  return { first: Math.min(...spans.map(([from]) => from)), last: Math.max(...spans.map(([, to]) => to)), starts: spans.map(([from]) => from) };
} // prettier-ignore

/** Only what the one has all of and the other has not: of two of which each has something there is no right order. */
const above = (a: readonly Allergen[], b: readonly Allergen[]): readonly Allergen[] =>
  b.every((each) => a.includes(each)) ? a.filter((each) => !b.includes(each)) : [];

/** Where a plan has a batch with something worked before one without it is done. */
export function mixedUp(problem: DayProblem, plan: DayPlan, holds: HoldsOf): MixedUp[] {
  const found: MixedUp[] = [];
  for (const [withId, mine] of holds)
    for (const [withoutId, others] of holds) {
      const allergens = above(mine.holds, others.holds);
      const [a, b] = [workOf(problem, plan, withId), workOf(problem, plan, withoutId)];
      // what has begun was worked first, whatever is still to be done with it
      const first = mine.begun ? -1 : (a?.first ?? Infinity);
      if (allergens.length === 0 || !b || first >= b.last) continue;
      found.push({ withId, withoutId, allergens, slot: Math.min(...b.starts.filter((slot) => slot >= first), b.last) });
    }
  return found;
} // prettier-ignore

/** A problem in which some batches begin at the earliest then, or are worked at the latest until then. */
const bounded = (problem: DayProblem, bounds: ReadonlyMap<string, { readonly from?: number; readonly to?: number }>): DayProblem => ({
  ...problem,
  batches: problem.batches.map((batch): DayBatch => {
    const bound = bounds.get(batch.id);
    if (!bound) return batch;
    const { from = problem.nowSlot ?? 0, to = problem.slots } = bound;
    return {
      ...batch,
      variants: batch.variants.map((variant) => ({
        ...variant,
        strands: variant.strands.map((strand) => ({
          ...strand,
          activities: strand.activities.map((activity) => {
            if (activity.within || activity.hands.length === 0) return activity;
            const lastHand = Math.max(...activity.hands.map(({ toSlot }) => toSlot));
            return { ...activity, within: { fromSlot: from, toSlot: Math.min(to - lastHand, problem.slots - activity.lastsSlots) } };
          }),
        })),
      })),
    };
  }),
}); // prettier-ignore

/**
 * A plan in which what somebody must not eat is worked after all that is without it, where that breaks no promise: those with it put off until the others are
 * done, or the others brought forward; the better of the two. Where neither is possible without leaving a batch out, making bread late, work in
 * unwanted hours or bread older by more than {@link OLDER_MIN}, the plan as it was: cleaning down in between does as well.
 *
 * @param rounds of looking for each
 */
export function keepApart(problem: DayProblem, found: Found, holds: HoldsOf, seed: number, rounds: number): Found {
  const mixed = mixedUp(problem, found.plan, holds);
  // of what has begun nothing can be put off
  const open = mixed.filter(({ withId }) => holds.get(withId)?.begun !== true);
  if (open.length === 0) return found;
  const put = (bounds: Map<string, { from?: number; to?: number }>): Found => {
    const search = searchDay(bounded(problem, bounds), seed, rounds, found.plan);
    let step = search.next();
    while (!step.done) step = search.next();
    return step.value;
  };
  const later = new Map<string, { from: number }>();
  const sooner = new Map<string, { to: number }>();
  for (const { withId, withoutId } of open) {
    const last = workOf(problem, found.plan, withoutId)!.last;
    const first = workOf(problem, found.plan, withId)!.first;
    later.set(withId, { from: Math.max(last, later.get(withId)?.from ?? 0) });
    sooner.set(withoutId, { to: Math.min(first, sooner.get(withoutId)?.to ?? Infinity) });
  }
  const good = [put(later), put(sooner)].filter(
    ({ plan, score }) => score.unplaced <= found.score.unplaced && score.late <= found.score.late && score.unwanted <= found.score.unwanted && score.old <= found.score.old + OLDER_MIN / problem.slotMin && mixedUp(problem, plan, holds).length < mixed.length,
  );
  const [best] = good.sort((a, b) => mixedUp(problem, a.plan, holds).length - mixedUp(problem, b.plan, holds).length || compareScores(a.score, b.score));
  return best ? { ...best, rounds: found.rounds } : found;
} // prettier-ignore
