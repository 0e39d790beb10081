import { checkPlan } from './checkPlan';
import type {
  DayActivity,
  DayBatch,
  DayOven,
  DayPlan,
  DayProblem,
  Heat,
  PlacedBatch,
  Variant,
} from './dayProblem';
import { scoreOf, type Score } from './score';

/**
 * The best plan of a small day by trying everything: every place of every batch that its own rules and the calendar allow, best first, cut off where even
 * the others alone could not make it better. Slow, plain, and no part of it is the search's; what it finds is held against the rules by `checkPlan`.
 *
 * @param below only what is better than this is looked for
 * @returns `best` null: nothing is; `whole` false: broken off after so many places
 */
export function exactDay(
  problem: DayProblem,
  below: Score,
  mostTries: number,
): { best: Score | null; plan: DayPlan | null; tries: number; whole: boolean } {
  const all = problem.batches.map((batch) => placesOf(problem, batch));
  const least = all.map((places) => Math.min(places[0]?.cost ?? UNPLACED, UNPLACED));
  const rest = (from: number) => least.slice(from).reduce((sum, cost) => sum + cost, 0);
  const after = problem.batches.map((_, index) => rest(index + 1));
  const used = new Used(problem);
  let best = asOne(below);
  let found: Score | null = null;
  let its: DayPlan | null = null;
  let tries = 0;
  const go = (index: number, plan: DayPlan['batches'], sum: number): void => {
    const batch = problem.batches[index];
    if (!batch) {
      if (checkPlan(problem, { batches: plan }).length > 0) return;
      const score = scoreOf(problem, { batches: plan });
      if (asOne(score) < best) {
        best = asOne(score);
        found = score;
        its = { batches: plan };
      }
      return;
    }
    for (const place of all[index]!) {
      if (sum + place.cost + after[index]! >= best) return;
      tries += 1;
      if (tries > mostTries) return;
      if (used.add(place)) go(index + 1, { ...plan, [batch.id]: place.placed }, sum + place.cost);
      used.remove(place);
    }
    if (sum + UNPLACED + after[index]! < best) go(index + 1, plan, sum + UNPLACED);
  };
  go(0, {}, 0);
  return { best: found, plan: its, tries, whole: tries <= mostTries };
}

const asOne = ({ unplaced, late, unwanted, old, taste, idle }: Score): number =>
  ((((unplaced * 512 + late) * 512 + unwanted) * 512 + old) * 64 + taste) * 256 + idle;
const UNPLACED = 512 ** 3 * 64 * 256;

interface Place {
  readonly placed: PlacedBatch;
  /** Without what an oven is hot for nothing. */
  readonly cost: number;
  readonly lying: readonly { readonly activity: DayActivity; readonly startSlot: number; readonly ovenId: string | null }[];
} // prettier-ignore

/** Who is busy and what is taken, slot by slot: quick to add to and to take from. */
class Used {
  private readonly free: Int16Array;
  private readonly left = new Map<string, Float64Array>();
  private readonly inside: { readonly ovenId: string; readonly from: number; readonly to: number; readonly heat: Heat }[] = [];

  constructor(private readonly problem: DayProblem) {
    this.free = Int16Array.from({ length: problem.slots }, (_, slot) =>
      problem.hands.reduce((sum, { fromSlot, toSlot, people }) => (slot >= fromSlot && slot < toSlot ? sum + people : sum), 0),
    );
    for (const { id, capacity } of problem.resources) this.left.set(id, new Float64Array(problem.slots).fill(capacity));
  }

  /** Put there in any case; false: there is no room. */
  add({ lying }: Place): boolean {
    let fits = true;
    for (const { activity, startSlot, ovenId } of lying) {
      for (const { fromSlot, toSlot } of activity.hands)
        for (let slot = startSlot + fromSlot; slot < startSlot + toSlot; slot += 1) fits = --this.free[slot]! >= 0 && fits;
      for (const { resourceId, amount } of activity.uses) {
        const left = this.left.get(resourceId)!;
        for (let slot = startSlot; slot < startSlot + activity.lastsSlots; slot += 1) fits = (left[slot]! -= amount) > -1e-9 && fits;
      }
      if (!activity.heat || ovenId === null) continue;
      const visit = { ovenId, from: startSlot, to: startSlot + activity.lastsSlots, heat: activity.heat };
      const oven = this.problem.ovens.find(({ id }) => id === ovenId)!;
      fits = this.inside.every((other) => other.ovenId !== ovenId || beside(oven, visit, other)) && fits;
      this.inside.push(visit);
    }
    return fits;
  }

  remove({ lying }: Place) {
    for (const { activity, startSlot, ovenId } of lying) {
      for (const { fromSlot, toSlot } of activity.hands)
        for (let slot = startSlot + fromSlot; slot < startSlot + toSlot; slot += 1) this.free[slot]! += 1;
      for (const { resourceId, amount } of activity.uses) {
        const left = this.left.get(resourceId)!;
        for (let slot = startSlot; slot < startSlot + activity.lastsSlots; slot += 1) left[slot]! += amount;
      }
      if (activity.heat && ovenId !== null) this.inside.pop();
    }
  }
} // prettier-ignore

/** Whether two loads can be so near; what `checkPlan` says of the whole decides. */
function beside(oven: DayOven, a: { from: number; to: number; heat: Heat }, b: { from: number; to: number; heat: Heat }): boolean {
  if (a.to <= b.from) return b.from - a.to >= oven.recoverSlots;
  if (b.to <= a.from) return a.from - b.to >= oven.recoverSlots;
  return a.heat.setC === b.heat.setC && a.heat.share + b.heat.share <= 1 + 1e-9;
} // prettier-ignore

/** Every place of a batch alone, best first. */
function placesOf(problem: DayProblem, batch: DayBatch): Place[] {
  const alone = { ...problem, batches: [batch] };
  return batch.variants
    .flatMap((variant) => startsOf(problem, variant).map((placed) => ({ placed, variant })))
    .filter(({ placed }) =>
      checkPlan(alone, { batches: { [batch.id]: placed } }).every(({ rule }) => rule === 'notLit'),
    )
    .map(({ placed, variant }) => ({
      placed,
      cost: asOne({ ...scoreOf(alone, { batches: { [batch.id]: placed } }), idle: 0 }),
      lying: variant.strands
        .flatMap(({ activities }) => activities)
        .map((activity) => ({ activity, ...placed.at[activity.id]! })),
    }))
    .sort((a, b) => a.cost - b.cost);
}

function startsOf({ slots }: DayProblem, { id, strands }: Variant): PlacedBatch[] {
  let all: { at: PlacedBatch['at']; ends: Record<string, number | null> }[] = [{ at: {}, ends: {} }];
  for (const strand of strands) {
    all = all.map((each) => ({ ...each, ends: { ...each.ends, [strand.id]: strand.afterId === null ? null : (each.ends[strand.afterId] ?? null) } }));
    for (const activity of strand.activities)
      all = all.flatMap((each) => {
        const before = each.ends[strand.id] ?? null;
        const from = before === null ? 0 : before + activity.leastSlots;
        const last = slots - activity.lastsSlots;
        const to = before === null || activity.mostSlots === null ? last : Math.min(before + activity.mostSlots, last);
        const starts = Array.from({ length: Math.max(0, to - from + 1) }, (_, more) => from + more);
        return starts.flatMap((startSlot) =>
          (activity.heat?.ovenIds ?? [null]).map((ovenId) => ({
            at: { ...each.at, [activity.id]: { startSlot, ovenId } },
            ends: { ...each.ends, [strand.id]: startSlot + activity.lastsSlots },
          })),
        );
      });
  }
  return all.map(({ at }) => ({ variantId: id, at }));
} // prettier-ignore
