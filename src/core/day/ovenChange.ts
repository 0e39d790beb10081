import type { DayOven, Heat } from './dayProblem';

/** A curve at a temperature, between its tenths of degrees; Infinity where it does not reach. */
function along(curve: readonly number[], tempC: number): number {
  const at = tempC / 10;
  const low = Math.floor(at);
  const before = curve[low];
  const after = curve[Math.ceil(at)];
  if (before === undefined || after === undefined) return Infinity;
  return before + (after - before) * (at - low);
}

const heatingTo = (oven: DayOven, { plate }: Pick<Heat, 'plate'>, tempC: number): number =>
  along(oven.heats[plate ?? 'air'] ?? oven.heats.air ?? [], tempC);

/** Slots from cold until a load may go in; Infinity where this oven never gets so hot. */
export const coldSlots = (oven: DayOven, load: Pick<Heat, 'setC' | 'plate'>): number =>
  Math.ceil(heatingTo(oven, load, load.setC) - 1e-9);

/**
 * Slots between two loads: up by the heating curve of what the second lies on, down by the cooling curve, and what the first took back again meanwhile. A
 * lumped oven heats and cools along one curve each, from wherever it is. A stone that the first did not lie on has only been warming since the oven was lit: it
 * has to be hot through first, however hot the air is.
 */
export function changeSlots(oven: DayOven, before: Pick<Heat, 'endC' | 'plate'>, load: Pick<Heat, 'setC' | 'plate'>): number {
  const { recoverSlots, cools } = oven;
  const slots =
    load.setC > before.endC
      ? heatingTo(oven, load, load.setC) - heatingTo(oven, load, before.endC)
      : along(cools, load.setC) - along(cools, before.endC);
  const warming = load.plate !== null && load.plate !== before.plate;
  const through = warming ? heatingTo(oven, load, load.setC) - along(oven.heats.air ?? [], before.endC) : 0;
  return Math.max(recoverSlots, Math.ceil(Math.max(slots, through) - 1e-9));
} // prettier-ignore

/** Whether two loads may be in one oven together: both at one temperature from end to end. */
export const mayShare = (a: Heat, b: Heat): boolean =>
  a.setC === a.endC && b.setC === b.endC && a.setC === b.setC && a.plate === b.plate;

/** Slots an oven is hot for nothing between two loads: no more than turning it off and heating it again would cost. */
export const idleSlots = (oven: DayOven, before: Heat, load: Heat, gapSlots: number): number =>
  Math.min(Math.max(0, gapSlots - changeSlots(oven, before, load)), coldSlots(oven, load));
