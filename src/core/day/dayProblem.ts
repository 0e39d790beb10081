import type { Plate } from '../heat/parameters';

/** Hands are busy from one slot to another of an activity, counted from its start: one person's. */
interface Busy {
  readonly fromSlot: number;
  readonly toSlot: number;
}

/** What an activity takes of something there is only so much of: rack, tins, mixer, fridge. */
interface Use {
  readonly resourceId: string;
  readonly amount: number;
}

/** A visit to an oven: at what it begins and ends, how much of the room it takes, and on what. */
export interface Heat {
  /** Any of these will do. */
  readonly ovenIds: readonly string[];
  readonly setC: number;
  /** As the oven is left: another figure than `setC` shares the oven with nobody. */
  readonly endC: number;
  /** Of the oven's room, 0 to 1. */
  readonly share: number;
  /** What must be hot through before; null: the air alone. */
  readonly plate: Plate | null;
}

/** One thing to do. Times are in slots of the day ({@link DayProblem.slotMin}), whole numbers. */
export interface DayActivity {
  readonly id: string;
  readonly lastsSlots: number;
  /** Between what goes before it and its start: at least, and at most what the dough bears; null: as long as it likes. */
  readonly leastSlots: number;
  readonly mostSlots: number | null;
  readonly hands: readonly Busy[];
  readonly uses: readonly Use[];
  readonly heat: Heat | null;
  /** Where it may begin, both ends included: somebody pinned it there, or it has begun. */
  readonly within?: { readonly fromSlot: number; readonly toSlot: number };
}

/** What is so, whatever is planned: a load that is in the oven or was, hands that are promised to what has begun. */
export interface Fact {
  readonly activity: DayActivity;
  readonly startSlot: number;
  readonly ovenId: string | null;
}

/** When something has to be ready: not after `toSlot`; the nearer to `fromSlot` or within, the fresher. */
export interface Due {
  readonly fromSlot: number;
  readonly toSlot: number;
  /** When it really has to be ready, where it is planned to be sooner, to be surer; absent: `toSlot`. */
  readonly heldSlot?: number;
}

/** Activities that follow one another; it parts from the end of another strand, or begins the batch. */
export interface Strand {
  readonly id: string;
  readonly afterId: string | null;
  readonly activities: readonly DayActivity[];
  /** Of what comes out at its end; null: nobody waits for it. */
  readonly promise: Due | null;
}

/** One way to make a batch: as written, or with a lever pulled. Strands in an order in which each comes after the one it parts from. */
export interface Variant {
  readonly id: string;
  /** What it does to taste and risk, 0 (nothing) to 15. */
  readonly tasteCost: number;
  readonly strands: readonly Strand[];
}

export interface DayBatch {
  readonly id: string;
  /** The first is as written. */
  readonly variants: readonly Variant[];
}

/** People who are there. Outside all of these nobody is; of two that overlap the people add up. */
interface HandsWindow {
  readonly fromSlot: number;
  readonly toSlot: number;
  readonly people: number;
  /** Hours one would rather not work in. */
  readonly unwanted?: true;
  /** So long before its end nothing is planned any more: what goes slower than thought is still done before somebody leaves. */
  readonly leaveSlots?: number;
}

/** An oven by two curves: slots of heating from cold, and of cooling from its hottest, at every tenth degree from 0 °C. */
export interface DayOven {
  readonly id: string;
  /** By what must be hot through: the oven's air under `air`. */
  readonly heats: Readonly<Record<string, readonly number[]>>;
  readonly cools: readonly number[];
  /** After each load, for what it took and what the open door let out. */
  readonly recoverSlots: number;
}

export interface DayProblem {
  /** How long a slot is, minutes. */
  readonly slotMin: number;
  readonly slots: number;
  /** Nothing begins before it but what is said to ({@link DayActivity.within}); absent: the day's beginning. */
  readonly nowSlot?: number;
  readonly facts?: readonly Fact[];
  /** Since when an oven has been heating, where it is on already. */
  readonly litSlot?: Readonly<Record<string, number>>;
  readonly batches: readonly DayBatch[];
  readonly hands: readonly HandsWindow[];
  readonly ovens: readonly DayOven[];
  readonly resources: readonly { readonly id: string; readonly capacity: number }[];
  /** Where an earlier plan, or the day itself, has things: what can stay stays. */
  readonly earlier?: Readonly<Record<string, number>>;
}

/** Where one activity lies. */
export interface Placed {
  readonly startSlot: number;
  readonly ovenId: string | null;
}

/** A batch that has a place in the day: by which variant, and where each of its activities lies. */
export interface PlacedBatch {
  readonly variantId: string;
  readonly at: Readonly<Record<string, Placed>>;
}

/** A plan: what could not be placed is missing. Activities are keyed by their ids, which are unique in a batch. */
export interface DayPlan {
  readonly batches: Readonly<Record<string, PlacedBatch>>;
}

/**
 * How many people are there, slot by slot.
 *
 * @param unwanted false: of hours one likes to work in alone
 * @param leaving true: also while they are about to leave, when nothing is planned
 */
export function peopleBySlot({ slots, hands }: Pick<DayProblem, 'slots' | 'hands'>, { unwanted = true, leaving = false } = {}): Int16Array {
  const people = new Int16Array(slots);
  for (const { fromSlot, toSlot, people: there, unwanted: other, leaveSlots = 0 } of hands)
    if (unwanted || !other)
      for (let at = Math.max(0, fromSlot); at < Math.min(slots, leaving ? toSlot : toSlot - leaveSlots); at += 1) people[at]! += there;
  return people;
} // prettier-ignore
