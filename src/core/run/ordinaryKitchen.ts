import type { Learnt } from '../fermentation/riseSimulation';
import { ORDINARY_OVENS, type Oven } from '../heat/oven';
import type { Place } from '../method/standingLimits';
import type { Room } from '../process/room';
import type { Plate } from '../heat/parameters';
import type { SliceLearnt } from '../slice/learnSlice';

/** The kitchen as the run needs it: plain figures. */
export interface RunKitchen {
  readonly roomC: number;
  readonly fridgeC: number;
  /** Its warm place, where it has one. */
  readonly warmC?: number;
  /** Places that were measured: how warm, and how moist their air. */
  readonly places?: Partial<
    Record<Place, { readonly tempC: number | null; readonly humidityPercent: number | null }>
  >;
  /** How many pieces it takes at once. */
  readonly room?: Room;
  readonly altitudeM: number;
  readonly doughC: number;
  readonly oven: Oven;
  readonly fryer: Oven;
  /** Thickness of plates that were measured, m. */
  readonly plateThickM?: Partial<Record<Plate, number>>;
  readonly learnt?: Learnt;
  /** How its slices come out against how they are drawn. */
  readonly slices?: SliceLearnt;
}

export const ORDINARY_KITCHEN: RunKitchen = {
  roomC: 21,
  fridgeC: 5,
  altitudeM: 0,
  doughC: 26,
  oven: ORDINARY_OVENS.static,
  fryer: ORDINARY_OVENS.fryer,
};
