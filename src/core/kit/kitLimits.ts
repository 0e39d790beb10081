import { PHASE_LIMITS } from '../heat/heatLimits';

/** Sizes of what stands in a kitchen; wide enough for a small bakery. */
export const KIT_LIMITS = {
  name: 40,
  each: 24,
  roomC: { min: 5, max: 40 },
  warmC: { min: 20, max: 45 },
  fridgeC: { min: -2, max: 15 },
  altitudeM: PHASE_LIMITS.altitudeM,
  scaleUpToG: { min: 1, max: 1_000_000 },
  scales: 6,
  frictionCPerMin: { min: 0, max: 3 },
  litres: { min: 5, max: 1000 },
  powerW: { min: 200, max: 40_000 },
  heatUpMin: { min: 2, max: 180 },
  oilLitres: { min: 0.3, max: 60 },
  thickMm: { min: 1, max: 60 },
  offsetC: PHASE_LIMITS.offsetC,
  transfer: { min: 0.3, max: 3 },
  lengthCm: { min: 2, max: 120 },
  count: { min: 1, max: 200 },
  vesselLitres: { min: 0.2, max: 400 },
  mostDoughG: { min: 100, max: 300_000 },
  placeC: { min: -30, max: 60 },
  weighedG: { min: 0.1, max: 5000 },
  measures: 60,
  notes: 1000,
} as const;

/** Ovens a kitchen may have. */
export const OVEN_KINDS = ['static', 'fan', 'deck', 'flame', 'grill', 'humid'] as const;

/** What is boiled in, griddled in, mixed in. */
export const VESSEL_KINDS = ['kettle', 'pan', 'bowl', 'mixer'] as const;

/** Where a dough stands, or a bread cools. */
export const PLACE_KINDS = ['warm', 'prover', 'ovenLight', 'fridge', 'freezer', 'rack'] as const;
