import { Board } from './board';
import {
  peopleBySlot,
  type DayActivity,
  type DayBatch,
  type DayProblem,
  type Heat,
  type Placed,
  type PlacedBatch,
  type Strand,
  type Variant,
} from './dayProblem';
import { valueAt, type BySlot } from './leastWithin';
import { changeSlots, mayShare } from './ovenChange';
import { putStrands } from './placeBatch';
import { proveBest, type PricedBatch, type PricedWay } from './proveBest';
import { keyOf, NOTHING, scoreOf, type Score } from './score';
import {
  ahead,
  byEnd,
  fromEnds,
  NEVER,
  ownCosts,
  spansBefore,
  spansOf,
  WEIGHTS,
  type Own,
  type Try,
} from './strandCosts';
import { follow, oneOfLeast } from './strandPath';

/** A batch without a place weighs more than any that is late; a point of taste less than a slot that bread is old. */
const UNPLACED = 2 ** 53;
const TASTE = 2 ** 8;

/** The score as one number, ovens and changes aside: what it takes to be one lexicographic order. */
const asOne = ({ unplaced, late, unwanted, old, taste }: Score): number =>
  unplaced * UNPLACED + late * WEIGHTS.late + unwanted * WEIGHTS.unwanted + old * WEIGHTS.old + taste * TASTE;

/** A number that no plan goes below, as a score that no plan is better than: of whole numbers, with no more for taste than there can be. */
function asScore(value: number, mostTaste: number): Score {
  // sums of many numbers of that size are a little off
  let left = Math.max(0, Math.ceil((value - 1 - value * 2 ** -42) / TASTE) * TASTE);
  const whole = (weight: number): number => {
    const many = Math.floor(left / weight);
    left -= many * weight;
    return many;
  };
  if (left % WEIGHTS.old > mostTaste * TASTE) left = (Math.floor(left / WEIGHTS.old) + 1) * WEIGHTS.old;
  return { ...NOTHING, unplaced: whole(UNPLACED), late: whole(WEIGHTS.late), unwanted: whole(WEIGHTS.unwanted), old: whole(WEIGHTS.old), taste: whole(TASTE) };
} // prettier-ignore

/** What a slot of something costs that there is only so much of, by slot: the sum up to each. */
type Prices = ReadonlyMap<string, Float64Array>;
const HANDS = ' hands';
const ovenKey = (id: string): string => `oven ${id}`;

interface Taken {
  readonly key: string;
  readonly from: number;
  readonly to: number;
  readonly amount: number;
}

/** What a load takes of an oven: how much of it, and for how long after it is out. */
interface OvenTaken {
  readonly amount: number;
  readonly afterSlots: number;
}

/**
 * What each load takes of each oven. A load that may share it with no other takes all of it, and until the soonest of the others can go in; those that may share it
 * as much of it as only so many of them fit.
 */
function ovenTaken({ ovens, batches }: DayProblem): ReadonlyMap<Heat, ReadonlyMap<string, OvenTaken>> {
  // a load is the same one in every way its batch can be made
  const loads = batches.flatMap(({ id, variants }) => variants.flatMap(({ strands }) => strands.flatMap(({ activities }) => activities.flatMap((activity) => (activity.heat ? [{ key: keyOf(id, activity), heat: activity.heat }] : [])))));
  return new Map(
    loads.map(({ key, heat }) => {
      const others = loads.filter((other) => other.key !== key);
      return [heat, new Map(heat.ovenIds.flatMap((ovenId) => {
        const oven = ovens.find(({ id }) => id === ovenId);
        if (!oven) return [];
        const there = others.filter((other) => other.heat.ovenIds.includes(ovenId));
        const together = there.filter((other) => mayShare(heat, other.heat));
        const isAlike = together.every((other) => Math.abs(other.heat.share - heat.share) < 1e-9);
        const amount = together.length === 0 ? 1 : isAlike ? 1 / Math.floor(1 / heat.share + 1e-9) : heat.share;
        const afterSlots = there.reduce((least, other) => Math.min(least, mayShare(heat, other.heat) ? oven.recoverSlots : changeSlots(oven, heat, other.heat)), NEVER);
        return [[ovenId, { amount, afterSlots: Number.isFinite(afterSlots) ? afterSlots : 0 }] as const];
      }))] as const;
    }),
  );
} // prettier-ignore

/** What an activity takes where it begins in a slot, by the slots from then on; of several ovens one alone. */
function takes({ hands, uses, heat, lastsSlots }: DayActivity, ovenId: string | null, loads: ReturnType<typeof ovenTaken>): Taken[] {
  const oven = heat && loads.get(heat)?.get(ovenId ?? '');
  return [
    ...hands.map(({ fromSlot, toSlot }) => ({ key: HANDS, from: fromSlot, to: toSlot, amount: 1 })),
    ...uses.map(({ resourceId, amount }) => ({ key: resourceId, from: 0, to: lastsSlots, amount })),
    ...(oven ? [{ key: ovenKey(ovenId ?? ''), from: 0, to: lastsSlots + oven.afterSlots, amount: oven.amount }] : []),
  ];
} // prettier-ignore

/** A strand with what its starts cost by themselves, whatever others do. */
interface Bare {
  readonly strand: Strand;
  readonly own: Own;
}

class Priced {
  private readonly problem: DayProblem;
  readonly prices = new Map<string, Float64Array>();
  private readonly capacity = new Map<string, Float64Array>();
  private readonly loads: ReturnType<typeof ovenTaken>;
  /** Ovens on whenever they are wanted. */
  private readonly free: DayProblem;
  private readonly bare = new Map<Variant, readonly Bare[]>();

  constructor(whole: DayProblem) {
    // what is changed does not count
    const { earlier: _, ...problem } = whole;
    this.problem = problem;
    const { slots, ovens, resources, nowSlot = 0 } = problem;
    this.loads = ovenTaken(problem);
    const people = Float64Array.from(peopleBySlot(problem));
    this.capacity.set(HANDS, people);
    for (const { id } of ovens) this.capacity.set(ovenKey(id), new Float64Array(slots).fill(1));
    for (const { id, capacity } of resources) this.capacity.set(id, new Float64Array(slots).fill(capacity));
    for (const key of this.capacity.keys()) this.prices.set(key, new Float64Array(slots));
    const free = { ...problem, litSlot: Object.fromEntries(ovens.map(({ id }) => [id, nowSlot])) };
    this.free = free;
    const board = new Board(free);
    for (const { id, variants } of problem.batches) {
      const one: Try = { problem: free, board, batchId: id, earlySlots: 0, outBySlot: NEVER, drawn: () => 0, ovensFree: true };
      for (const variant of variants)
        this.bare.set(
          variant,
          variant.strands.map((strand) => ({ strand, own: ownCosts(one, strand, [], spansOf(strand, null, free)) })),
        );
    }
  } // prettier-ignore

  private readonly sums = (): Prices =>
    new Map(
      [...this.prices].map(([key, prices]) => {
        const sums = new Float64Array(prices.length + 1);
        for (let at = 0; at < prices.length; at += 1) sums[at + 1] = sums[at]! + prices[at]!;
        return [key, sums];
      }),
    );

  /** What a start costs beside its own: the prices of what it takes, in whichever oven is cheapest. */
  private priceOf(activity: DayActivity, start: number, ovenId: string | null, sums: Prices): number {
    const { slots } = this.problem;
    let sum = 0;
    for (const { key, from, to, amount } of takes(activity, ovenId, this.loads)) {
      const of = sums.get(key);
      if (of) sum += amount * (of[Math.min(slots, start + to)]! - of[Math.min(slots, start + from)]!);
    }
    return sum;
  }

  private cheapestOven(activity: DayActivity, start: number, sums: Prices): string | null {
    const [first = null, ...others] = activity.heat?.ovenIds ?? [];
    return others.reduce(
      (best, id) => (this.priceOf(activity, start, id, sums) < this.priceOf(activity, start, best, sums) ? id : best),
      first,
    );
  } // prettier-ignore

  private priced({ strand, own }: Bare, parts: readonly BySlot[], sums: Prices): Own {
    const costs = own.costs.map(({ from, values: bare }, index): BySlot => {
      const activity = strand.activities[index]!;
      const takesNothing = activity.hands.length === 0 && activity.uses.length === 0 && !activity.heat;
      const values = Float64Array.from(bare);
      for (let at = 0; at < values.length; at += 1) {
        if (values[at] === NEVER) continue;
        const start = from + at;
        if (!takesNothing) values[at]! += this.priceOf(activity, start, this.cheapestOven(activity, start, sums), sums);
        if (index === own.costs.length - 1)
          for (const part of parts) values[at]! += part.values[start + activity.lastsSlots - part.from]!;
      }
      return { from, values };
    });
    return { ...own, costs };
  } // prettier-ignore

  private wayOf(variant: Variant, sums: Prices): PricedWay & { readonly ends: BySlot } {
    const { problem } = this;
    const bare = this.bare.get(variant)!;
    const known = new Map<string, PricedWay['strands'][number]>();
    for (const each of bare.toReversed()) {
      const parts = bare.flatMap(({ strand: { id, afterId } }) => (afterId === each.strand.id ? [known.get(id)!.fromEnd] : []));
      const costs = ahead(this.priced(each, parts, sums), spansOf(each.strand, null, problem));
      known.set(each.strand.id, { ahead: costs, fromEnd: fromEnds(costs, { from: 0, to: problem.slots }) });
    }
    const strands = bare.map(({ strand }) => known.get(strand.id)!);
    return { strands, tasteCost: variant.tasteCost * TASTE, ends: strands[0] ? byEnd(strands[0].ahead, problem.slots) : { from: 0, values: new Float64Array(0) } };
  } // prettier-ignore

  /** The cheapest places of a batch by these prices, as if its strands did not hinder one another. */
  private cheapest(batch: DayBatch, sums: Prices): { cost: number; at: Readonly<Record<string, Placed>>; variant: Variant | null } {
    let best: { cost: number; at: Readonly<Record<string, Placed>>; variant: Variant | null } = { cost: UNPLACED, at: {}, variant: null };
    for (const variant of batch.variants) {
      const { strands: [trunk, ...others], tasteCost, ends } = this.wayOf(variant, sums);
      const ready = oneOfLeast(ends, 0, NEVER, 'last', null);
      if (!trunk || ready === -1) continue;
      const cost = valueAt(ends, ready) + tasteCost;
      if (cost >= best.cost) continue;
      const root = ahead(trunk.ahead, spansBefore(trunk.ahead, { from: ready, to: ready }));
      const at = { ...follow(root, oneOfLeast(root.ahead[0]!, 0, NEVER, 'last', null), null) };
      for (const { ahead: costs } of others) {
        const parent = variant.strands.find(({ id }) => id === costs.strand.afterId)?.activities.at(-1);
        const [head] = costs.strand.activities;
        if (!head || !parent) continue;
        const end = at[parent.id]!.startSlot + parent.lastsSlots;
        Object.assign(at, follow(costs, oneOfLeast(costs.ahead[0]!, end + head.leastSlots, end + (head.mostSlots ?? NEVER), 'first', null), null));
      }
      best = { cost, at, variant };
    }
    return best;
  } // prettier-ignore

  /** The least cost of any plan, where a small day can be looked through; null: it cannot. */
  prove(value: number, known: number, mostTries: number): number | null {
    const sums = this.sums();
    const { problem } = this;
    const batches = problem.batches.map((batch): PricedBatch => ({ batch, ways: batch.variants.map((variant) => this.wayOf(variant, sums)), least: this.cheapest(batch, sums).cost, unplaced: UNPLACED }));
    const costOf = (places: ReadonlyMap<string, { readonly way: number; readonly at: PlacedBatch['at'] } | null>): number | null => {
      const plan = Object.fromEntries(problem.batches.flatMap(({ id, variants }) => { const found = places.get(id); return found ? [[id, { variantId: variants[found.way]!.id, at: found.at }]] : []; }));
      const real = new Board(problem);
      for (const { id, variants } of problem.batches) { const found = places.get(id); if (found) putStrands(real, id, variants[found.way]!.strands, found.at); }
      return real.ovensAreLit() ? asOne(scoreOf(problem, { batches: plan })) : null;
    };
    return proveBest({ board: new Board(this.free), batches, mostTries, costOf }, known - TASTE - value, known);
  } // prettier-ignore

  /** What no plan goes below by these prices, and how much more than there is is taken of what, slot by slot. */
  value(): { readonly value: number; readonly over: ReadonlyMap<string, Float64Array> } {
    const sums = this.sums();
    const over = new Map([...this.capacity].map(([key, capacity]) => [key, capacity.map((each) => -each)]));
    let value = 0;
    for (const batch of this.problem.batches) {
      const { cost, at, variant } = this.cheapest(batch, sums);
      value += cost;
      for (const { activities } of variant?.strands ?? [])
        for (const activity of activities) {
          const { startSlot } = at[activity.id]!;
          const ovenId = this.cheapestOven(activity, startSlot, sums);
          for (const { key, from, to, amount } of takes(activity, ovenId, this.loads)) {
            const of = over.get(key);
            for (let slot = startSlot + from; of && slot < Math.min(of.length, startSlot + to); slot += 1) of[slot]! += amount;
          }
        }
    }
    for (const [key, capacity] of this.capacity) {
      const prices = this.prices.get(key)!;
      for (let slot = 0; slot < capacity.length; slot += 1) value -= prices[slot]! * capacity[slot]!;
    }
    return { value, over };
  } // prettier-ignore

  /** Dearer where too much is taken, cheaper where something is left. */
  step(over: ReadonlyMap<string, Float64Array>, by: number) {
    for (const [key, prices] of this.prices) {
      const excess = over.get(key)!;
      for (let slot = 0; slot < prices.length; slot += 1) prices[slot] = Math.max(0, prices[slot]! + by * excess[slot]!);
    }
  } // prettier-ignore
}

/** So many rounds without a better bound halve the step. */
const PATIENT = 6;

/**
 * No plan of a day is better than this. Every batch finds its cheapest place as if it were alone, its strands as if they did not hinder one another, but what
 * there is only so much of (hands, room in an oven, mixer, racks) has a price slot by slot that rises where too much of it is wanted: whatever the prices, the
 * sum of the cheapest less what all there is would cost is no more than what any plan costs (Lagrange). Prices of nothing are the first round. What ovens cost
 * when they are hot for nothing, going from one heat to another, and what is changed are left out (0).
 *
 * @param plan a plan's score: prices are looked for that come near it
 * @param mostTries of a small day all that could be better is looked through, so many places of activities at most; then the bound is the best there is
 * @param rounds each takes about as long as placing all batches once
 */
export function boundOf(problem: DayProblem, plan: Score, rounds: number, mostTries = 0): Score {
  const priced = new Priced(problem);
  const wanted = asOne(plan);
  let best = -Infinity;
  let prices = new Map<string, Float64Array>();
  let pace = 1;
  let since = 0;
  for (let round = 0; round < rounds; round += 1) {
    const { value, over } = priced.value();
    since += 1;
    if (value > best) {
      best = value;
      prices = new Map([...priced.prices].map(([key, each]) => [key, each.slice()]));
      since = 0;
    }
    if (since === PATIENT) {
      pace /= 2;
      since = 0;
    }
    let square = 0;
    for (const [key, excess] of over) {
      const of = priced.prices.get(key)!;
      // what is not wanted and costs nothing stays so
      excess.forEach((each, slot) => { if (each > 0 || of[slot]! > 0) square += each * each; });
    }
    const gap = wanted - value;
    if (gap <= 0 || square === 0) break;
    priced.step(over, (pace * gap) / square);
  }
  const mostTaste = problem.batches.reduce((sum, { variants }) => sum + Math.max(0, ...variants.map(({ tasteCost }) => tasteCost)), 0);
  const least = asScore(best, mostTaste);
  if (mostTries === 0 || asOne(least) >= wanted) return least;
  for (const [key, each] of prices) priced.prices.set(key, each);
  const proved = priced.prove(best - 1 - best * 2 ** -42, wanted, mostTries);
  return proved === null ? least : asScore(proved, mostTaste);
} // prettier-ignore
