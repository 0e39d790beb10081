import { AJAR_LOSES, heatUpS, type Oven } from '../heat/oven';
import { PLATES, type Plate } from '../heat/parameters';
import { preheat } from '../heat/preheat';
import { RECOVERS_S } from '../process/processOf';
import type { DayOven } from './dayProblem';

/** A curve goes up to here, °C: no oven of a kit is hotter. */
const HOTTEST_C = 520;
const TENTHS = HOTTEST_C / 10;
/** Longer than any day: it never gets there. */
const NEVER_SLOTS = 1_000_000;

const curve = (slotAt: (tempC: number) => number): number[] =>
  Array.from({ length: TENTHS + 1 }, (_, tenth) => Math.min(NEVER_SLOTS, slotAt(10 * tenth)));

/**
 * An oven for the day: how long from cold until its air, a stone, a steel, an iron pot in it are at a temperature (core/heat/preheat.ts: to within 15 °C on
 * the face), and how long it takes to fall, its door ajar. Below 100 °C a plate is as warm as the air.
 *
 * @param thickM of plates that were measured
 */
export function dayOven(
  id: string,
  oven: Oven,
  roomC: number,
  slotMin: number,
  thickM: Partial<Record<Plate, number>> = {},
): DayOven {
  const slots = (s: number | null): number => (s === null || !Number.isFinite(s) ? NEVER_SLOTS : s / 60 / slotMin);
  const hottestC = oven.hottestC ?? 300;
  const reaches = (tempC: number) => tempC <= hottestC + 1e-9;
  const air = curve((tempC) =>
    tempC <= roomC ? 0 : reaches(tempC) ? slots(heatUpS(oven, roomC, tempC, roomC)) : NEVER_SLOTS,
  );
  const plates = (Object.keys(PLATES) as Plate[]).filter((plate) => plate !== 'tray' && plate !== 'griddle');
  const heats = Object.fromEntries(
    plates.map((plate) => {
      const of = curve((tempC) => {
        if (tempC < 100 || !reaches(tempC)) return air[tempC / 10]!;
        const heated = preheat(oven, plate, tempC, roomC, thickM[plate]);
        return heated.ok ? slots(heated.value.plateS) : NEVER_SLOTS;
      });
      // a hotter one is never ready sooner
      for (let tenth = 1; tenth < of.length; tenth += 1) of[tenth] = Math.max(of[tenth]!, of[tenth - 1]!);
      return [plate, of];
    }),
  );
  // falls towards the room by what the open door loses
  const tauS = oven.heatJPerK / (oven.lossWPerK * AJAR_LOSES);
  const above = (tempC: number) => Math.max(2, tempC - roomC);
  return {
    id,
    heats: { air, ...heats },
    cools: curve((tempC) => slots(tauS * Math.log(above(HOTTEST_C) / above(tempC)))),
    recoverSlots: Math.ceil((RECOVERS_S.oven ?? 0) / 60 / slotMin),
  };
} // prettier-ignore
