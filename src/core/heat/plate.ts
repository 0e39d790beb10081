import { PLATES, type Plate } from './parameters';

/** What lies under the piece, per square metre of it: layers from the top down. Metals are one layer, a stone five. */
export interface PlateState {
  readonly kind: Plate;
  readonly tempC: Float64Array;
  readonly layerM: number;
}

export const newPlate = (kind: Plate, tempC: number, thickM = PLATES[kind].thickM): PlateState => {
  const { conductsWPerMK } = PLATES[kind];
  const layers = conductsWPerMK > 10 ? 1 : 5;
  return { kind, tempC: new Float64Array(layers).fill(tempC), layerM: thickM / layers };
};

/**
 * Carries a plate on by dtS, in place. Explicit in steps its layers can bear.
 * @param intoTopW, intoBaseW heat into its two faces, W/m², taken as steady over the step
 */
export function stepPlate(plate: PlateState, intoTopW: number, intoBaseW: number, dtS: number): void {
  const { heatJPerM3K, conductsWPerMK } = PLATES[plate.kind];
  const { tempC, layerM } = plate;
  const heat = heatJPerM3K * layerM;
  const last = tempC.length - 1;
  if (last === 0) {
    tempC[0]! += ((intoTopW + intoBaseW) * dtS) / heat;
    return;
  }
  const passes = conductsWPerMK / layerM;
  const steps = Math.max(1, Math.ceil((dtS * 2.5 * passes) / heat));
  const dt = dtS / steps;
  for (let step = 0; step < steps; step += 1) {
    let above = intoTopW;
    for (let layer = 0; layer <= last; layer += 1) {
      const down = layer === last ? -intoBaseW : passes * (tempC[layer]! - tempC[layer + 1]!);
      const change = ((above - down) * dt) / heat;
      above = down;
      tempC[layer]! += change;
    }
  }
}
