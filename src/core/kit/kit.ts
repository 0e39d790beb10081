import { ordinaryScales } from '../batch/scale';
import type { Kit, KitOven } from './kitSchema';

export { KIT_LIMITS, PLACE_KINDS, VESSEL_KINDS } from './kitLimits';
export type { Kit, KitOven };

/** A kitchen of which nothing is known yet. */
export const ORDINARY_KIT: Kit = {
  roomC: 21,
  warmC: 28,
  fridgeC: 5,
  altitudeM: 0,
  scales: ordinaryScales,
  mixer: { kind: 'machine', frictionCPerMin: null },
  ovens: [
    { id: 'oven', name: 'Oven', kind: 'static', litres: null, heatUpMin: null, readings: [], fitted: null },
  ],
  ovenId: 'oven',
  plates: [],
  tins: [],
  fryer: null,
  vessels: [],
  places: [],
  measures: [],
  notes: '',
};

/** A kit of before vessels and places were told: it has none yet. */
export const withRoom = <K extends object>(kit: K) => ({
  ...kit,
  vessels: [],
  places: [],
  measures: [],
  notes: '',
});
