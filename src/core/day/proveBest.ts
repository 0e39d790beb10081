import type { Board } from './board';
import type { DayActivity, DayBatch, Placed, Strand } from './dayProblem';
import { valueAt, type BySlot } from './leastWithin';
import { keyOf } from './score';
import type { Ahead } from './strandCosts';

/** A way to make a batch with what each of its starts costs ahead, prices of what there is only so much of included. */
export interface PricedWay {
  readonly strands: readonly {
    readonly ahead: Ahead;
    readonly fromEnd: BySlot;
  }[];
  readonly tasteCost: number;
}

export interface PricedBatch {
  readonly batch: DayBatch;
  readonly ways: readonly PricedWay[];
  /** What its cheapest place costs, and what none does. */
  readonly least: number;
  readonly unplaced: number;
}

interface Wanted {
  /** Where nothing is but what has begun, and ovens are on whenever they are wanted. */
  readonly board: Board;
  readonly batches: readonly PricedBatch[];
  /** Places of activities looked at, at most. */
  readonly mostTries: number;
  /** What the places of a whole day cost without prices; null: it is none, after all. */
  readonly costOf: (
    places: ReadonlyMap<
      string,
      { readonly way: number; readonly at: Readonly<Record<string, Placed>> } | null
    >,
  ) => number | null;
}

/**
 * Every plan of a small day that could be better than one that is known, by what its places cost at prices at which no plan goes below a value: places that
 * cost more than the cheapest by more than what lies between the two are in no such plan.
 *
 * @param between what lies between that value and what is a little better than the plan that is known
 * @returns the least cost there is below the known one; `known` where there is none; null: given up after so many tries
 */
export function proveBest({ board, batches, mostTries, costOf }: Wanted, between: number, known: number): number | null {
  let tries = 0;
  let best = known;
  let left = between;
  const places = new Map<string, { way: number; at: Record<string, Placed> } | null>();
  const start = (activity: DayActivity, key: string, slot: number, then: (ovenId: string | null) => void) => {
    for (const ovenId of activity.heat?.ovenIds ?? [null]) {
      tries += 1;
      if (tries > mostTries) return;
      const own = activity.heat && ovenId !== null ? { ...activity, heat: { ...activity.heat, ovenIds: [ovenId] } } : activity;
      if (!board.isOpen(own, slot)) continue;
      board.put(activity, key, slot, ovenId);
      then(ovenId);
      board.take(activity, key, slot, ovenId);
    }
  };
  const go = (index: number, spent: number): void => {
    if (tries > mostTries || spent > left) return;
    const one = batches[index];
    if (!one) {
      const cost = costOf(places);
      if (cost !== null && cost < best) {
        left -= best - cost;
        best = cost;
      }
      return;
    }
    const { batch, ways, least, unplaced } = one;
    ways.forEach((way, at) => {
      const found = { way: at, at: {} as Record<string, Placed> };
      places.set(batch.id, found);
      inWay(way, batch.id, found.at, 0, way.tasteCost, (cost) => spent + cost - least, (cost) => go(index + 1, spent + cost - least));
    });
    places.set(batch.id, null);
    go(index + 1, spent + unplaced - least);
  };
  const endOf = (strand: Strand, at: Record<string, Placed>): number => {
    const last = strand.activities.at(-1)!;
    return at[last.id]!.startSlot + last.lastsSlots;
  };
  const inWay = (way: PricedWay, id: string, at: Record<string, Placed>, index: number, spent: number, over: (cost: number) => number, then: (cost: number) => void): void => {
    const here = way.strands[index];
    if (!here) return then(spent);
    const { strand } = here.ahead;
    const parentOf = ({ afterId }: Strand) => way.strands.find((each) => each.ahead.strand.id === afterId)?.ahead.strand;
    // brothers that come later and part from what has its place
    const later = way.strands.slice(index + 1).reduce((sum, each) => {
      const parent = parentOf(each.ahead.strand);
      return parent && way.strands.slice(0, index).some((done) => done.ahead.strand === parent) ? sum + valueAt(each.fromEnd, endOf(parent, at)) : sum;
    }, 0);
    const parent = parentOf(strand);
    const step = (place: number, from: number, to: number, cost: number): void => {
      const activity = strand.activities[place];
      if (!activity) return inWay(way, id, at, index + 1, spent + cost, over, then);
      const next = strand.activities[place + 1];
      const costs = here.ahead.ahead[place]!;
      for (let slot = Math.max(from, costs.from); slot <= Math.min(to, costs.from + costs.values.length - 1); slot += 1) {
        if (tries > mostTries) return;
        const ahead = valueAt(costs, slot);
        if (!(over(spent + cost + ahead + later) <= left)) continue;
        const own = valueAt(here.ahead.costs[place]!, slot) - (next ? 0 : partsAt(way, strand, slot + activity.lastsSlots));
        start(activity, keyOf(id, activity), slot, (ovenId) => {
          at[activity.id] = { startSlot: slot, ovenId };
          const end = slot + activity.lastsSlots;
          step(place + 1, end + (next?.leastSlots ?? 0), end + (next?.mostSlots ?? Infinity), cost + own);
        });
      }
    };
    const [head] = strand.activities;
    if (!head) return inWay(way, id, at, index + 1, spent, over, then);
    const end = parent ? endOf(parent, at) : null;
    step(0, end === null ? 0 : end + head.leastSlots, end === null ? Infinity : end + (head.mostSlots ?? Infinity), 0);
  };
  go(0, 0);
  return tries > mostTries ? null : best;
} // prettier-ignore

/** What parts from the end of a strand costs: it is paid where it has its place. */
const partsAt = ({ strands }: PricedWay, { id }: Strand, endSlot: number): number =>
  strands.reduce((sum, { ahead, fromEnd }) => (ahead.strand.afterId === id ? sum + valueAt(fromEnd, endSlot) : sum), 0); // prettier-ignore
