import { peopleBySlot, type DayActivity, type DayOven, type DayProblem, type Heat } from './dayProblem';
import { changeSlots, coldSlots, idleSlots, mayShare } from './ovenChange';

/** A load in its oven. */
interface Visit {
  readonly key: string;
  readonly fromSlot: number;
  readonly toSlot: number;
  readonly heat: Heat;
}

/** Where an activity can begin of the starts in question, and what each costs beside its time: slots of hands in unwanted hours, slots of an idle hot oven. By start, counted from `from`. */
export interface Openings {
  readonly from: number;
  /** 1 where it may begin; null: anywhere within the day. */
  readonly open: Uint8Array | null;
  /** Null: nobody's hands. */
  readonly unwanted: Int32Array | null;
  /** Null: no oven. */
  readonly idle: Int32Array | null;
  /** Which of its ovens, as an index; null: the first, or none. */
  readonly oven: Uint8Array | null;
}

/**
 * The day so far: who is busy, what is used, what is in which oven. Things are put on it and taken off again while a plan is looked for.
 */
export class Board {
  readonly slots: number;
  private readonly people: Int16Array;
  private readonly busy: Int16Array;
  private readonly unwantedUpTo: Int32Array;
  private readonly used = new Map<string, Float64Array>();
  private readonly capacity = new Map<string, number>();
  private readonly ovens: ReadonlyMap<string, DayOven>;
  private readonly visits = new Map<string, Visit[]>();
  /** No two loads that are farther apart get into one another's way. */
  private readonly farSlots = new Map<string, number>();
  /** How many slots with nobody free there are up to each; null: somebody's hands have changed since. */
  private takenUpTo: Int32Array | null = null;
  private readonly nowSlot: number;
  private readonly lit: NonNullable<DayProblem['litSlot']>;

  constructor(problem: DayProblem) {
    const { slots, ovens, resources, nowSlot = 0, facts = [], litSlot = {} } = problem;
    this.lit = litSlot;
    this.nowSlot = nowSlot;
    this.slots = slots;
    this.people = peopleBySlot(problem);
    this.busy = new Int16Array(slots);
    const wanted = peopleBySlot(problem, { unwanted: false });
    this.unwantedUpTo = new Int32Array(slots + 1);
    for (let at = 0; at < slots; at += 1)
      this.unwantedUpTo[at + 1] = this.unwantedUpTo[at]! + (wanted[at]! > 0 ? 0 : 1);
    for (const { id, capacity } of resources) {
      this.capacity.set(id, capacity);
      this.used.set(id, new Float64Array(slots));
    }
    this.ovens = new Map(ovens.map((oven) => [oven.id, oven]));
    for (const { id, heats, cools, recoverSlots } of ovens) {
      this.visits.set(id, []);
      const changes = [...Object.values(heats), cools].flatMap((curve) =>
        curve.filter((each) => each <= slots),
      );
      this.farSlots.set(id, Math.ceil(Math.max(recoverSlots, ...changes)) + 1);
    }
    for (const [at, { activity, startSlot, ovenId }] of facts.entries())
      this.put(activity, `fact ${at}`, startSlot, ovenId);
  }

  put(activity: DayActivity, key: string, startSlot: number, ovenId: string | null) {
    this.mark(activity, startSlot, 1);
    if (!activity.heat || ovenId === null) return;
    const visits = this.visits.get(ovenId)!;
    const visit = { key, fromSlot: startSlot, toSlot: startSlot + activity.lastsSlots, heat: activity.heat };
    const at = visits.findIndex(({ fromSlot }) => fromSlot > startSlot);
    visits.splice(at === -1 ? visits.length : at, 0, visit);
  }

  take(activity: DayActivity, key: string, startSlot: number, ovenId: string | null) {
    this.mark(activity, startSlot, -1);
    if (ovenId === null) return;
    const visits = this.visits.get(ovenId)!;
    visits.splice(
      visits.findIndex((visit) => visit.key === key),
      1,
    );
  }

  private mark({ hands, uses, lastsSlots }: DayActivity, startSlot: number, by: 1 | -1) {
    if (hands.length > 0) this.takenUpTo = null;
    for (const { fromSlot, toSlot } of hands)
      for (let at = startSlot + fromSlot; at < startSlot + toSlot; at += 1) this.busy[at]! += by;
    for (const { resourceId, amount } of uses) {
      const used = this.used.get(resourceId)!;
      for (let at = startSlot; at < startSlot + lastsSlots; at += 1) used[at]! += by * amount;
    }
  }

  /** Whether every oven can be lit in time for its first load, by somebody who is there. */
  ovensAreLit(): boolean {
    return [...this.visits].every(([id, [first]]) => !first || this.lightable(this.ovens.get(id)!, first.heat, first.fromSlot));
  } // prettier-ignore

  private taken(): Int32Array {
    if (this.takenUpTo) return this.takenUpTo;
    const { slots, busy, people } = this;
    const taken = new Int32Array(slots + 1);
    for (let at = 0; at < slots; at += 1) taken[at + 1] = taken[at]! + (busy[at]! >= people[at]! ? 1 : 0);
    this.takenUpTo = taken;
    return taken;
  }

  private lightable(oven: DayOven, heat: Heat, startSlot: number): boolean {
    // what went in before now was hot enough, however it came about
    if (startSlot < this.nowSlot) return true;
    const litSlot = startSlot - coldSlots(oven, heat);
    if (litSlot >= (this.lit[oven.id] ?? Infinity)) return true;
    return litSlot >= this.nowSlot && this.people[litSlot]! > 0;
  }

  /** Slots of hands in hours one would rather not work in. */
  unwantedSlots({ hands }: DayActivity, startSlot: number): number {
    return hands.reduce(
      (sum, { fromSlot, toSlot }) =>
        sum + this.unwantedUpTo[startSlot + toSlot]! - this.unwantedUpTo[startSlot + fromSlot]!,
      0,
    );
  }

  /** Slots in which an oven is hot and nobody bakes. */
  idleSlots(): number {
    let idle = 0;
    for (const [id, visits] of this.visits) {
      const oven = this.ovens.get(id)!;
      let before: Visit | null = null;
      for (const visit of visits) {
        if (before && visit.fromSlot >= before.toSlot)
          idle += idleSlots(oven, before.heat, visit.heat, visit.fromSlot - before.toSlot);
        if (!before || visit.toSlot >= before.toSlot) before = visit;
      }
    }
    return idle;
  }

  /** Whether an activity may begin in a slot, in the oven it names: as {@link openings} says of that one start, sooner. */
  isOpen(activity: DayActivity, start: number): boolean {
    const { lastsSlots, hands, uses, heat } = activity;
    if (start < 0 || start > this.slots - lastsSlots) return false;
    if (hands.length > 0) {
      const { busy, people } = this;
      for (const { fromSlot, toSlot } of hands)
        for (let at = start + fromSlot; at < start + toSlot; at += 1)
          if (busy[at]! >= people[at]!) return false;
    }
    for (const { resourceId, amount } of uses) {
      const used = this.used.get(resourceId);
      const most = (this.capacity.get(resourceId) ?? 0) - amount + 1e-9;
      for (let at = start; at < start + lastsSlots; at += 1) if ((used ? used[at]! : 0) > most) return false;
    }
    return !heat || this.openings({ ...activity, hands: [], uses: [] }, start, start).open![0] === 1;
  }

  /** @param from to: the starts in question */
  openings({ lastsSlots, hands, uses, heat }: DayActivity, from = 0, to = this.slots): Openings {
    if (hands.length === 0 && uses.length === 0 && !heat)
      return { from, open: null, unwanted: null, idle: null, oven: null };
    const { slots, unwantedUpTo } = this;
    const size = Math.max(0, to - from + 1);
    const open = new Uint8Array(size);
    const unwanted = hands.length > 0 ? new Int32Array(size) : null;
    const last = Math.min(to, slots - lastsSlots);
    if (last < from) return { from, open, unwanted, idle: null, oven: null };
    open.fill(1, 0, last - from + 1);
    for (const { fromSlot, toSlot } of hands) {
      const taken = this.taken();
      for (let start = from; start <= last; start += 1) {
        if (taken[start + toSlot]! > taken[start + fromSlot]!) open[start - from] = 0;
        unwanted![start - from]! += unwantedUpTo[start + toSlot]! - unwantedUpTo[start + fromSlot]!;
      }
    }
    for (const { resourceId, amount } of uses) {
      const used = this.used.get(resourceId);
      const most = (this.capacity.get(resourceId) ?? 0) - amount + 1e-9;
      // from the back: the next slot in which there is not enough of it
      let full = slots + lastsSlots;
      for (let at = last + lastsSlots - 1; at >= from; at -= 1) {
        if ((used ? used[at]! : 0) > most) full = at;
        if (at <= last && full < at + lastsSlots) open[at - from] = 0;
      }
    }
    return { from, open, unwanted, ...(heat ? this.inOvens(heat, lastsSlots, from, last, open) : { idle: null, oven: null }) };
  } // prettier-ignore

  /** Of several ovens the one that is hot for nothing the shortest while; the first where they are alike. Closes what none of them is open for. */
  private inOvens(heat: Heat, lastsSlots: number, from: number, last: number, open: Uint8Array): Pick<Openings, 'idle' | 'oven'> {
    const there = heat.ovenIds.flatMap((id, index) => (this.ovens.has(id) ? [{ index, found: this.inOven(this.ovens.get(id)!, heat, lastsSlots, from, last) }] : []));
    const [first] = there;
    if (!first) {
      open.fill(0);
      return { idle: null, oven: null };
    }
    const { idle } = first.found;
    const oven = there.length > 1 || first.index > 0 ? new Uint8Array(open.length).fill(first.index) : null;
    const any = first.found.open;
    for (const { index, found } of there.slice(1))
      for (let at = 0; at < any.length; at += 1) {
        if (!found.open[at] || (any[at] && idle[at]! <= found.idle[at]!)) continue;
        any[at] = 1;
        idle[at] = found.idle[at]!;
        oven![at] = index;
      }
    for (let at = 0; at < any.length; at += 1) open[at]! &= any[at]!;
    return { idle, oven };
  } // prettier-ignore

  private inOven(oven: DayOven, heat: Heat, lastsSlots: number, first: number, last: number) {
    const visits = this.visits.get(oven.id)!;
    const size = last - first + 1;
    const open = new Uint8Array(size).fill(1);
    const close = (from: number, to: number) =>
      open.fill(0, Math.max(0, Math.min(size, from - first)), Math.max(0, Math.min(size, to - first)));
    const cold = coldSlots(oven, heat);
    // before everything else it has to be lit
    const firstSlot = visits[0]?.fromSlot ?? Infinity;
    for (let at = first; at <= last && at < firstSlot; at += 1)
      open[at - first] = Number(this.lightable(oven, heat, at));
    if (cold > this.slots) open.fill(0);
    let shares: Float64Array | null = null;
    const far = this.farSlots.get(oven.id)!;
    for (const visit of visits) {
      if (visit.toSlot + far < first || visit.fromSlot - far > last + lastsSlots) continue;
      if (mayShare(visit.heat, heat)) {
        shares ??= new Float64Array(size + lastsSlots);
        for (
          let at = Math.max(first, visit.fromSlot);
          at < Math.min(last + lastsSlots, visit.toSlot);
          at += 1
        )
          shares[at - first]! += visit.heat.share;
        continue;
      }
      close(
        visit.fromSlot - lastsSlots - changeSlots(oven, heat, visit.heat) + 1,
        visit.toSlot + changeSlots(oven, visit.heat, heat),
      );
    }
    if (shares) {
      const most = 1 - heat.share + 1e-9;
      let full = Infinity;
      for (let at = last + lastsSlots - 1; at >= first; at -= 1) {
        if (shares[at - first]! > most) full = at;
        if (at <= last && full < at + lastsSlots) open[at - first] = 0;
      }
      // one after the other at one temperature: what the first took comes back first
      for (const visit of visits)
        if (mayShare(visit.heat, heat)) {
          close(visit.fromSlot - lastsSlots - oven.recoverSlots + 1, visit.fromSlot - lastsSlots + 1);
          close(visit.toSlot, visit.toSlot + oven.recoverSlots);
        }
    }
    return { open, idle: this.idleWith(oven, heat, lastsSlots, first, last) };
  }

  /** By start: how much longer the oven is hot for nothing with this load than without it. */
  private idleWith(oven: DayOven, heat: Heat, lastsSlots: number, first: number, last: number): Int32Array {
    const { slots } = this;
    const idle = new Int32Array(last - first + 1);
    const visits = this.visits.get(oven.id)!;
    const cold = coldSlots(oven, heat);
    for (let next = 0; next <= visits.length && visits.length > 0; next += 1) {
      // starts between one load and the one behind it
      const before = visits[next - 1];
      const after = visits[next];
      const from = Math.max(first, before ? before.fromSlot + 1 : 0);
      const to = Math.min(last, after ? after.fromSlot : slots);
      if (from > to) continue;
      const up = before ? changeSlots(oven, before.heat, heat) : 0;
      const down = after ? changeSlots(oven, heat, after.heat) : 0;
      const coldAfter = after ? coldSlots(oven, after.heat) : 0;
      const without =
        before && after && after.fromSlot >= before.toSlot
          ? idleSlots(oven, before.heat, after.heat, after.fromSlot - before.toSlot)
          : 0;
      for (let start = from; start <= to; start += 1) {
        let sum = -without;
        if (before && before.toSlot <= start) {
          const gap = start - before.toSlot - up;
          sum += gap < 0 ? 0 : gap > cold ? cold : gap;
        }
        if (after && start + lastsSlots <= after.fromSlot) {
          const gap = after.fromSlot - start - lastsSlots - down;
          sum += gap < 0 ? 0 : gap > coldAfter ? coldAfter : gap;
        }
        idle[start - first] = sum;
      }
    }
    return idle;
  }
}
