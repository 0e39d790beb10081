import type { Plate } from '../heat/parameters';
import { preheat } from '../heat/preheat';
import type { Kit, KitOven } from './kit';
import { heatOven } from './runKitchen';

/** An oven as it is wanted; null: the usual one, nothing in it. */
interface Wanted {
  readonly ovenId: string | null;
  readonly setC: number;
  readonly plate: Plate | null;
}

/**
 * How long ovens of a kit take from cold until they, and what stands in them, are hot (core/heat/preheat.ts: to within 15 °C), s; each is computed once.
 *
 * @returns asked for an oven: null where it never gets there, or there is none
 */
export function heatUpTimes(kit: Kit, usual: KitOven | undefined): (wanted: Wanted) => number | null {
  const known = new Map<string, number | null>();
  return ({ ovenId, setC, plate }) => {
    const key = `${ovenId} ${setC} ${plate}`;
    const found = known.get(key);
    if (found !== undefined) return found;
    const oven = kit.ovens.find(({ id }) => id === ovenId) ?? usual;
    const heated = oven ? preheat(heatOven(oven, kit.roomC, setC), plate, setC, kit.roomC) : null;
    const s = heated?.ok ? (plate === null ? heated.value.ovenS : heated.value.plateS) : null;
    known.set(key, s);
    return s;
  };
}
