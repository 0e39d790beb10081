import type {
  DayActivity,
  DayBatch,
  DayPlan,
  DayProblem,
  Fact,
  Placed,
  PlacedBatch,
  Strand,
} from './dayProblem';
import { coldSlots } from './ovenChange';
import { keyOf, variantOf } from './score';

/** When something of a day really began, and ended; `endSlot` null: it is under way, until `lastsSlots` after its start as far as anybody knows. */
export interface Progress {
  readonly startSlot: number;
  readonly endSlot: number | null;
  /** How long it is thought to take now, where somebody said another time than was planned. */
  readonly lastsSlots?: number;
}

/** Before then no oven is hot that an activity can go in; 0: nobody says so. */
type HotSlot = (activity: DayActivity) => number;
type ProgressOf = (activity: Pick<DayActivity, 'id'>) => Progress | undefined;

/** Hands of what is under way: all through, or as long before its new end as they were before the old one. */
function handsOfBegun({ hands, lastsSlots }: DayActivity, lasts: number): DayActivity['hands'] {
  return hands.flatMap(({ fromSlot, toSlot }) => {
    if (fromSlot === 0 && toSlot === lastsSlots) return [{ fromSlot: 0, toSlot: lasts }];
    const atEnd = toSlot === lastsSlots;
    return atEnd ? [{ fromSlot: Math.max(0, lasts - (toSlot - fromSlot)), toSlot: lasts }] : [];
  });
}

/** One strand of a batch that has begun: what of it is so, and what is left of it. */
function begunStrand(
  strand: Strand,
  progressOf: ProgressOf,
  nowSlot: number,
  partsSlot: number | null,
  hotSlot: HotSlot,
  doughEnd: number | null,
) {
  const facts: Fact[] = [];
  const { activities } = strand;
  // what comes of it has begun: so all of it is done
  const last =
    partsSlot === null ? activities.findLastIndex((activity) => progressOf(activity)) : activities.length - 1;
  if (last === -1) {
    const [head, ...rest] = activities;
    const left =
      head && doughEnd !== null
        ? [overdue(head, Math.max(nowSlot, hotSlot(head)) - doughEnd), ...rest]
        : activities;
    return { strand: { ...strand, activities: left.map(unspared) }, facts, endSlot: null };
  }
  let endSlot = partsSlot;
  let marker: DayActivity | null = null;
  for (let at = last; at >= 0; at -= 1) {
    const activity = activities[at]!;
    const told = progressOf(activity);
    // what comes after it had begun by then, whether or not anybody said that it was done
    const done = endSlot !== null;
    const latest: number = endSlot ?? Infinity;
    const start: number = Math.min(told?.startSlot ?? latest - activity.lastsSlots, latest);
    const lasts = told?.lastsSlots ?? activity.lastsSlots;
    const end: number = Math.min(told?.endSlot ?? (done ? latest : Math.max(nowSlot, start + lasts)), latest);
    const under = !done && told?.endSlot == null;
    if (activity.heat || under)
      facts.push({
        activity: { ...activity, lastsSlots: end - start, hands: under ? handsOfBegun(activity, end - start) : [], uses: under ? activity.uses : [] },
        startSlot: start,
        ovenId: null,
      });
    marker ??= { ...activity, lastsSlots: end - start, leastSlots: 0, mostSlots: null, hands: [], uses: [], heat: null, within: { fromSlot: start, toSlot: start } };
    endSlot = start;
  } // prettier-ignore
  const markerEnd = marker!.within!.fromSlot + marker!.lastsSlots;
  const [next, ...rest] = activities.slice(last + 1);
  const left = next
    ? [overdue(next, Math.max(nowSlot, hotSlot(next)) - markerEnd), ...rest].map(unspared)
    : [];
  return {
    strand: { ...strand, activities: [marker!, ...left] },
    facts,
    endSlot: left.length > 0 ? null : markerEnd,
  };
}

/** Of a batch that has begun what was left free in it is there to be used. */
const unspared = (activity: DayActivity): DayActivity =>
  activity.leastSlots === 0 ? activity : { ...activity, leastSlots: 0 };

/** What has waited longer than it bears already is to be gone on with as soon as it would have been, had it been ready now. */
const overdue = (activity: DayActivity, waitedSlots: number): DayActivity =>
  activity.mostSlots === null || waitedSlots <= activity.mostSlots
    ? activity
    : { ...activity, mostSlots: waitedSlots + activity.mostSlots };

/** Ovens that were to be on by now, since when: as planned, where nobody says otherwise. */
function litOf({ ovens, batches, litSlot }: DayProblem, plan: DayPlan, nowSlot: number): Record<string, number> {
  const lit: Record<string, number> = {};
  for (const { id, variants } of batches)
    for (const activity of variants.find((each) => each.id === plan.batches[id]?.variantId)?.strands.flatMap(({ activities }) => activities) ?? []) {
      const placed = plan.batches[id]?.at[activity.id];
      const oven = ovens.find((each) => each.id === placed?.ovenId);
      if (!placed || !oven || !activity.heat) continue;
      const since = placed.startSlot - coldSlots(oven, activity.heat);
      if (since < nowSlot) lit[oven.id] = Math.min(lit[oven.id] ?? Infinity, since);
    }
  return { ...lit, ...litSlot };
} // prettier-ignore

/** When the first of what parts from a strand began, through all that parts from it; null: nothing of it has. */
function partsBeginSlot(strands: readonly Strand[], { id }: Strand, progressOf: ProgressOf): number | null {
  const starts = strands.flatMap((part): number[] => {
    if (part.afterId !== id) return [];
    const own = part.activities.flatMap((activity) => progressOf(activity)?.startSlot ?? []);
    const further = partsBeginSlot(strands, part, progressOf);
    return further === null ? own : [...own, further];
  });
  return starts.length > 0 ? Math.min(...starts) : null;
}

/**
 * A day some of which has happened: what has begun is a fact, wherever the plan had it; what follows it begins at the earliest now. A batch that has begun
 * keeps its variant. Of a strand the last thing that has begun stays as a mark of when the next may follow; what has waited too long already may be gone on with
 * as soon as if it had been ready now.
 *
 * @param plan by which it was begun: which variant, which oven
 * @param hotSlot what waits for an oven that is not hot goes in when it is, however long it has waited
 * @param progress what has begun, by the key of its activity ({@link keyOf}); what comes before something that has begun counts as done
 */
export function begunDay(
  problem: DayProblem,
  plan: DayPlan,
  progress: ReadonlyMap<string, Progress>,
  nowSlot: number,
  hotSlot: HotSlot = () => 0,
): { readonly problem: DayProblem; readonly plan: DayPlan } {
  const facts: Fact[] = [...(problem.facts ?? [])];
  const batches = problem.batches.map((batch): DayBatch => {
    const progressOf: ProgressOf = (activity) => progress.get(keyOf(batch.id, activity));
    const placed = plan.batches[batch.id];
    const variant = (placed && variantOf(problem, batch.id, placed)) ?? batch.variants[0];
    const strands = variant?.strands ?? [];
    if (!variant || !strands.some(({ activities }) => activities.some(progressOf))) return batch;
    // where all of what they part from has begun, by which end
    const ends = new Map<string, number | null>();
    return {
      ...batch,
      variants: [
        {
          ...variant,
          strands: strands.map((each) => {
            const doughEnd = each.afterId === null ? null : (ends.get(each.afterId) ?? null);
            const { strand, facts: mine, endSlot } = begunStrand(each, progressOf, nowSlot, partsBeginSlot(strands, each, progressOf), hotSlot, doughEnd);
            ends.set(each.id, endSlot);
            for (const fact of mine)
              facts.push({ ...fact, ovenId: fact.activity.heat ? (placed?.at[fact.activity.id]?.ovenId ?? fact.activity.heat.ovenIds[0] ?? null) : null });
            return strand;
          }),
        },
      ],
    };
  });
  const earlier: Record<string, number> = {};
  const stays: Record<string, PlacedBatch> = {};
  for (const { id, variants } of batches) {
    const placed = plan.batches[id];
    const variant = placed && variants.find((each) => each.id === placed.variantId);
    if (!placed || !variant) continue;
    const at: Record<string, Placed> = {};
    for (const activity of variant.strands.flatMap((strand) => strand.activities)) {
      const was = placed.at[activity.id];
      if (!was) continue;
      const begun = progress.has(keyOf(id, activity)) || (activity.within?.toSlot ?? nowSlot) < nowSlot;
      at[activity.id] = begun && activity.within ? { startSlot: activity.within.fromSlot, ovenId: null } : was;
      if (!begun) earlier[keyOf(id, activity)] = was.startSlot;
    }
    stays[id] = { variantId: placed.variantId, at };
  }
  return { problem: { ...problem, nowSlot, facts, batches, earlier, litSlot: litOf(problem, plan, nowSlot) }, plan: { batches: stays } };
} // prettier-ignore
