import type { DayActivity, DayOven, DayPlan, DayProblem, Heat, Placed } from './dayProblem';

/** A rule a plan breaks. */
export interface Broken {
  readonly rule:
    | 'unknownVariant'
    | 'notPlaced'
    | 'outsideDay'
    | 'beforeNow'
    | 'notWithin'
    | 'tooSoon'
    | 'waitsTooLong'
    | 'noHands'
    | 'tooMuchOf'
    | 'unknownOven'
    | 'notHotYet'
    | 'notLit'
    | 'ovenFull'
    | 'twoHeats';
  readonly batchId: string;
  readonly activityId: string;
  readonly slot: number;
}

interface Lying {
  readonly batchId: string;
  readonly activity: DayActivity;
  readonly placed: Placed;
  /** It is so, whatever is planned: by itself it breaks nothing. */
  readonly fact?: true;
}

const endOf = ({ activity, placed }: Lying): number => placed.startSlot + activity.lastsSlots;

/**
 * Every rule of the day held against a plan, slot by slot, written from the rules alone: it shares nothing with the search, so that a mistake there shows
 * here. A batch that is not in the plan breaks none.
 */
export function checkPlan(problem: DayProblem, plan: DayPlan): Broken[] {
  const broken: Broken[] = [];
  const all: Lying[] = (problem.facts ?? []).map(({ activity, startSlot, ovenId }) => ({
    batchId: '',
    activity,
    placed: { startSlot, ovenId },
    fact: true,
  }));
  const say = (rule: Broken['rule'], batchId: string, activityId: string, slot: number) =>
    broken.push({ rule, batchId, activityId, slot });
  for (const [batchId, { variantId, at }] of Object.entries(plan.batches)) {
    const variant = problem.batches
      .find(({ id }) => id === batchId)
      ?.variants.find(({ id }) => id === variantId);
    if (!variant) {
      say('unknownVariant', batchId, '', 0);
      continue;
    }
    const ends = new Map<string, number | null>();
    for (const strand of variant.strands) {
      let before: number | null = strand.afterId === null ? null : (ends.get(strand.afterId) ?? null);
      for (const activity of strand.activities) {
        const placed = at[activity.id];
        if (!placed) {
          say('notPlaced', batchId, activity.id, 0);
          continue;
        }
        const { startSlot } = placed;
        const end = startSlot + activity.lastsSlots;
        if (!Number.isInteger(startSlot) || startSlot < 0 || end > problem.slots)
          say('outsideDay', batchId, activity.id, startSlot);
        else all.push({ batchId, activity, placed });
        const { fromSlot, toSlot } = activity.within ?? {
          fromSlot: problem.nowSlot ?? 0,
          toSlot: problem.slots,
        };
        if (startSlot < fromSlot || startSlot > toSlot)
          say(activity.within ? 'notWithin' : 'beforeNow', batchId, activity.id, startSlot);
        if (before !== null) {
          const waits = startSlot - before;
          if (waits < activity.leastSlots) say('tooSoon', batchId, activity.id, startSlot);
          if (activity.mostSlots !== null && waits > activity.mostSlots)
            say('waitsTooLong', batchId, activity.id, startSlot);
        }
        before = end;
      }
      ends.set(strand.id, before);
    }
  }
  for (let slot = 0; slot < problem.slots; slot += 1) {
    handsAt(problem, all, slot, say);
    resourcesAt(problem, all, slot, say);
  }
  for (const oven of problem.ovens) ovenHolds(problem, oven, all, say);
  for (const { batchId, activity, placed, fact } of all) {
    if (fact) continue;
    const { heat } = activity;
    const known = problem.ovens.some(({ id }) => id === placed.ovenId);
    if (heat && !(known && heat.ovenIds.includes(placed.ovenId!)))
      say('unknownOven', batchId, activity.id, placed.startSlot);
  }
  return broken;
}

type Say = (rule: Broken['rule'], batchId: string, activityId: string, slot: number) => void;

const peopleAt = ({ hands }: DayProblem, slot: number): number =>
  hands
    .filter(({ fromSlot, toSlot, leaveSlots = 0 }) => slot >= fromSlot && slot < toSlot - leaveSlots)
    .reduce((sum, { people }) => sum + people, 0);

function handsAt(problem: DayProblem, all: readonly Lying[], slot: number, say: Say) {
  const busy = all.flatMap((lying) =>
    lying.activity.hands
      .filter(({ fromSlot, toSlot }) => slot >= lying.placed.startSlot + fromSlot && slot < lying.placed.startSlot + toSlot)
      .map(() => lying),
  ); // prettier-ignore
  const last = busy.findLast(({ fact }) => !fact);
  if (last && busy.length > peopleAt(problem, slot)) say('noHands', last.batchId, last.activity.id, slot);
}

function resourcesAt({ resources }: DayProblem, all: readonly Lying[], slot: number, say: Say) {
  const there = all.filter((lying) => slot >= lying.placed.startSlot && slot < endOf(lying));
  for (const { batchId, activity, fact } of there)
    for (const { resourceId } of activity.uses) {
      const used = there
        .flatMap((each) => each.activity.uses)
        .filter((use) => use.resourceId === resourceId)
        .reduce((sum, { amount }) => sum + amount, 0);
      const capacity = resources.find(({ id }) => id === resourceId)?.capacity ?? 0;
      if (!fact && used > capacity + 1e-6) say('tooMuchOf', batchId, activity.id, slot);
    }
}

/** Minutes at a temperature of a curve given at every tenth degree. */
function curveAt(curve: readonly number[] | undefined, tempC: number): number {
  if (!curve || tempC < 0 || tempC / 10 > curve.length - 1) return Infinity;
  const whole = Math.floor(tempC / 10);
  const rest = tempC / 10 - whole;
  return rest === 0 ? curve[whole]! : (1 - rest) * curve[whole]! + rest * curve[whole + 1]!;
}

function needed(oven: DayOven, { endC: fromC, plate }: Heat, to: Heat): number {
  const heats = oven.heats[to.plate ?? 'air'] ?? oven.heats.air;
  const slots =
    to.setC > fromC
      ? curveAt(heats, to.setC) - curveAt(heats, fromC)
      : curveAt(oven.cools, to.setC) - curveAt(oven.cools, fromC);
  // what nothing has lain on yet is as warm as the time since the oven was lit has made it
  const soaked =
    to.plate === null || to.plate === plate ? 0 : curveAt(heats, to.setC) - curveAt(oven.heats.air, fromC);
  return Math.max(oven.recoverSlots, slots, soaked);
}

/** One oven through the day: what goes in when, how hot it is by then, and who is in there together. */
function ovenHolds(problem: DayProblem, oven: DayOven, all: readonly Lying[], say: Say) {
  const loads = all
    .filter(({ activity, placed }) => activity.heat && placed.ovenId === oven.id)
    .sort((a, b) => a.placed.startSlot - b.placed.startSlot);
  for (const [index, load] of loads.entries()) {
    if (load.fact) continue;
    const heat = load.activity.heat!;
    const start = load.placed.startSlot;
    const earlier = loads.slice(0, index);
    const inside = earlier.filter((other) => endOf(other) > start);
    for (const other of inside) {
      const theirs = other.activity.heat!;
      const one = [heat.setC, heat.endC, theirs.setC, theirs.endC].every((tempC) => tempC === heat.setC);
      if (!one || theirs.plate !== heat.plate) say('twoHeats', load.batchId, load.activity.id, start);
    }
    for (let slot = start; slot < endOf(load); slot += 1) {
      const share = loads
        .filter((other) => other.placed.startSlot <= slot && endOf(other) > slot)
        .reduce((sum, { activity }) => sum + activity.heat!.share, 0);
      if (share > 1 + 1e-6) {
        say('ovenFull', load.batchId, load.activity.id, slot);
        break;
      }
    }
    const left = earlier.filter((other) => endOf(other) <= start).sort((a, b) => endOf(a) - endOf(b)).at(-1);
    if (left) {
      if (start - endOf(left) < needed(oven, left.activity.heat!, heat) - 1e-6)
        say('notHotYet', load.batchId, load.activity.id, start);
    } else if (inside.length === 0) {
      const heats = curveAt(oven.heats[heat.plate ?? 'air'] ?? oven.heats.air, heat.setC);
      const lit = start - Math.ceil(heats - 1e-9);
      const isOn = lit >= (problem.litSlot?.[oven.id] ?? Infinity);
      if (!isOn && (!(lit >= (problem.nowSlot ?? 0)) || peopleAt(problem, lit) === 0)) say('notLit', load.batchId, load.activity.id, start);
    }
  } // prettier-ignore
}
