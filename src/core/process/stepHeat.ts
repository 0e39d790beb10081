import type { Moisture, PlateKind } from '../method/heating';
import type { MethodStep } from '../method/step';

/** How a step heats, everything said. */
export interface StepHeat {
  readonly moist: Moisture;
  readonly on: PlateKind | null;
  readonly inTin: boolean;
  readonly topped: boolean;
  readonly paper: boolean;
}

/**
 * How a step heats: what it says, else as in the heating before it. Steam and a lid end with their step, unless the next says otherwise: a lid
 * stays on until it is taken off.
 */
export function stepHeat({ kind, heat }: MethodStep, before: StepHeat): StepHeat {
  const plate = kind === 'griddle' ? 'griddle' : before.on;
  return {
    moist: heat?.moist ?? (kind === 'bake' && before.moist !== 'lid' ? 'dry' : before.moist),
    on: heat?.on === undefined ? plate : heat.on,
    inTin: heat?.inTin ?? before.inTin,
    topped: heat?.topped ?? false,
    paper: heat?.paper ?? before.paper,
  };
}
