import type { DayOven } from './dayProblem';
import { changeSlots, coldSlots } from './ovenChange';
import type { LitVisit, OvenVisit } from './ovenVisits';

/** How hot an oven is, at moments counted in slots; between them straight lines do. */
export interface OvenPoint {
  readonly slot: number;
  readonly tempC: number;
}

/** The temperature a curve of slots reaches after so many. */
function reached(curve: readonly number[], slots: number): number {
  const at = curve.findIndex((each) => each >= slots);
  if (at <= 0) return 10 * (at === 0 ? curve.findLastIndex((each) => each <= slots) : curve.length - 1);
  const [before, after] = [curve[at - 1]!, curve[at]!];
  return 10 * (at - 1 + (after > before ? (slots - before) / (after - before) : 1));
}

/** Points of a stretch of heating or cooling, that a line through them follows the curve. */
const BENDS = 6;

/**
 * An oven's temperature through the day: lit in time for its first load, from one load's heat to the next, off and falling after the last, and between two
 * that are so far apart that it is lit anew.
 *
 * @param visits the first first
 * @param lit those for which it is lit, as `litFor` says
 */
export function ovenTrace(oven: DayOven, visits: readonly OvenVisit[], lit: readonly LitVisit[], roomC: number, slots: number): OvenPoint[] {
  const points: OvenPoint[] = [];
  const put = (slot: number, tempC: number) => points.push({ slot, tempC });
  const heating = (fromC: number, { setC, plate }: OvenVisit['heat'], untilSlot: number, takes: number) => {
    const curve = oven.heats[plate ?? 'air'] ?? oven.heats.air ?? [];
    const whole = curve[Math.ceil(fromC / 10)] ?? 0;
    const end = curve[Math.min(curve.length - 1, Math.round(setC / 10))] ?? whole;
    for (let bend = 0; bend <= BENDS; bend += 1)
      put(untilSlot - takes + (takes * bend) / BENDS, Math.min(setC, Math.max(fromC, reached(curve, whole + ((end - whole) * bend) / BENDS))));
  };
  const falling = (fromC: number, toC: number, fromSlot: number, takes: number) => {
    const start = oven.cools[Math.round(fromC / 10)] ?? 0;
    for (let bend = 0; bend <= BENDS; bend += 1) {
      const tempC = Math.min(fromC, reachedDown(oven.cools, start + (takes * bend) / BENDS));
      put(fromSlot + (takes * bend) / BENDS, Math.max(toC, roomC, tempC));
    }
  };
  let last: OvenVisit | null = null;
  for (const visit of visits) {
    if (last && visit.startSlot < last.endSlot) {
      if (visit.endSlot > last.endSlot) {
        put(visit.endSlot, visit.heat.endC);
        last = visit;
      }
      continue;
    }
    const anew = lit.find(({ startSlot }) => startSlot === visit.startSlot);
    const change = last ? changeSlots(oven, last.heat, visit.heat) : 0;
    if (anew) {
      if (last && anew.litSlot > last.endSlot) falling(last.heat.endC, roomC, last.endSlot, anew.litSlot - last.endSlot);
      const takes = Math.min(coldSlots(oven, visit.heat), visit.startSlot - anew.litSlot);
      heating(Math.max(roomC, points.at(-1)?.tempC ?? roomC), visit.heat, anew.litSlot + takes, takes);
    } else if (last && visit.heat.setC >= last.heat.endC) {
      put(visit.startSlot - change, last.heat.endC);
      heating(last.heat.endC, visit.heat, visit.startSlot, change);
    } else if (last) {
      falling(last.heat.endC, visit.heat.setC, last.endSlot, change);
    }
    put(visit.startSlot, visit.heat.setC);
    put(visit.endSlot, visit.heat.endC);
    last = visit;
  }
  if (last && slots > last.endSlot) falling(last.heat.endC, roomC, last.endSlot, Math.min(slots - last.endSlot, 48));
  return points;
} // prettier-ignore

/** The temperature after so many slots of falling, counted as the curve of cooling counts them. */
function reachedDown(cools: readonly number[], slots: number): number {
  const at = cools.findIndex((each) => each <= slots);
  if (at === -1) return 0;
  if (at === 0) return 0;
  const [before, after] = [cools[at - 1]!, cools[at]!];
  return 10 * (at - (before > after ? (slots - after) / (before - after) : 0));
}
