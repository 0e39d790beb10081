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
} as const;

/** Ovens a kitchen may have. */
export const OVEN_KINDS = ['static', 'fan', 'deck', 'flame', 'grill', 'humid'] as const;
