import { fitOffset, offsetAt } from '../heat/fitOven';
import type { Formula } from '../formula/formula';
import type { Plate } from '../heat/parameters';
import { heatUpS, ORDINARY_OVENS, type Oven } from '../heat/oven';
import { ovenFor } from './ovenFor';
import { roomOf } from './roomOf';
import { ORDINARY_KITCHEN, type RunKitchen } from '../run/ordinaryKitchen';
import type { Kit, KitOven } from './kit';

/** Oil: 0.92 kg per litre, 2.1 kJ/(kg K); the pot adds about a quarter. */
const OIL_J_PER_LITRE_K = 0.92 * 2100 * 1.25;

/**
 * An oven of the kit as the heat model takes it: its kind's ordinary figures; what has to be heated from the time to 220 °C;
 * offset from thermometer readings, or offset and transfer from probe traces, with what is still unsure.
 * @param dialC where it is used: an offset differs over the dial
 */
export function heatOven(oven: KitOven, roomC: number, dialC = 200): Oven {
  const plain = ORDINARY_OVENS[oven.kind];
  const sized = { ...plain, ...(oven.hottestC && { hottestC: oven.hottestC }) };
  if (oven.heatUpMin !== null) {
    // heat capacity follows from the time almost in proportion: two steps of the secant are enough
    let factor = 1;
    for (let round = 0; round < 4; round += 1) {
      const tookS = heatUpS({ ...plain, heatJPerK: plain.heatJPerK * factor }, roomC, 220, roomC);
      if (!Number.isFinite(tookS) || tookS <= 0) break;
      factor *= (oven.heatUpMin * 60) / tookS;
    }
    sized.heatJPerK = plain.heatJPerK * Math.min(12, Math.max(0.15, factor));
  } else if (oven.litres !== null && oven.kind !== 'deck') {
    sized.heatJPerK = plain.heatJPerK * Math.cbrt(oven.litres / 60) ** 2;
  }
  if (oven.fitted) {
    const { offsetC, offsetSdC, transfer, transferCv } = oven.fitted;
    return { ...sized, offsetC, offsetSdC, transfer, transferCv };
  }
  if (oven.readings.length > 0) {
    const fit = fitOffset(oven.readings);
    if (fit.ok) {
      const { offsetC, sdC } = offsetAt(fit.value, dialC);
      return { ...sized, offsetC, offsetSdC: sdC };
    }
  }
  return sized;
}

/** The kitchen of a formula's run, its oven as it is where the method sets the dial. */
export function runKitchenOf(kit: Kit, formula: Pick<Formula, 'bakedAs' | 'steps'>): RunKitchen {
  const oven = ovenFor(kit, formula);
  const dialC = formula.steps.find((step) => step.kind === 'bake')?.tempC ?? 200;
  // of two of a kind the first measured one counts
  const plateThickM: Partial<Record<Plate, number>> = {};
  for (const { kind, thickMm } of kit.plates) {
    if (thickMm !== null) plateThickM[kind] ??= thickMm / 1000;
  }
  const places: RunKitchen['places'] = {};
  for (const { kind, tempC, humidityPercent } of kit.places)
    if (kind !== 'rack') places[kind] ??= { tempC, humidityPercent };
  return {
    ...ORDINARY_KITCHEN,
    plateThickM,
    places,
    room: roomOf(kit, formula),
    roomC: kit.roomC,
    fridgeC: kit.fridgeC,
    warmC: kit.warmC,
    altitudeM: kit.altitudeM,
    oven: oven ? heatOven(oven, kit.roomC, dialC) : ORDINARY_KITCHEN.oven,
    fryer: kit.fryer
      ? {
          ...ORDINARY_OVENS.fryer,
          heatJPerK: kit.fryer.oilLitres * OIL_J_PER_LITRE_K,
          powerW: kit.fryer.powerW,
        }
      : ORDINARY_OVENS.fryer,
  };
}
