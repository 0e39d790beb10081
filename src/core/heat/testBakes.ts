import type { BakeQuestion } from './bake';
import { ORDINARY_OVENS } from './oven';
import { newPhase } from './programme';

/** Made-up bakes for the tests: a tin loaf and rolls in an ordinary kitchen. */
export const tinLoaf = (part: Partial<BakeQuestion> = {}): BakeQuestion => ({
  matter: {
    waterShare: 0.55,
    dryHeatJPerKgK: 1720,
    conductsWPerMK: 0.465,
    densityKgPerM3: 1165,
    gelatinisationC: { onset: 63, peak: 71 },
    brownsReadily: 1,
  },
  piece: { shape: 'tin', massG: 900, lightness: 2, lengthCm: 22, widthCm: 10 },
  startC: 28,
  roomC: 21,
  altitudeM: 0,
  oven: ORDINARY_OVENS.static,
  tin: 'dark',
  count: 1,
  phases: [newPhase('oven', 3900, 200, { inTin: true }), newPhase('rack', 5 * 3600, 0)],
  ...part,
});

export const rolls = (part: Partial<BakeQuestion> = {}): BakeQuestion =>
  tinLoaf({
    piece: { shape: 'roll', massG: 85, lightness: 1.8, lengthCm: null, widthCm: null },
    tin: null,
    count: 9,
    phases: [newPhase('oven', 1700, 205, { on: 'tray' }), newPhase('rack', 7200, 0)],
    ...part,
  });
