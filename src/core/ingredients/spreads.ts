import type { Ingredient } from './ingredient';
import { ENERGY_KJ_PER_G } from './ingredient';
import { PARTS } from './entryLimits';

/**
 * Spreads of figures for which tables give one value only: one rule for each property, one sd. (Composition has its own in describe.ts,
 * absorption an sd for every entry; a density's two ends, spooned and scooped, are its spread.)
 */
export const FIGURE_SPREADS = {
  /** Time constant of taking water up, relative: mill, age, how it was stirred in. Kitchen trials. */
  tauCv: 0.25,
  /** Onset and peak of gelatinisation, °C: between varieties and laboratories (BeMiller & Whistler, Starch, 3rd ed., tables of DSC). */
  gelatinisationC: 2,
  /** Smoke point, °C: refining and age of the oil (national food-safety tables differ by ten and more). */
  smokePointC: 8,
  /** Salt, relative, at least g per 100 g: as for other parts of a composition. */
  saltCv: 0.08,
  saltLeastG: 0.02,
  /** A liquid's density, relative: what it is made of and how warm it is. */
  liquidDensityCv: 0.01,
} as const;

/** sd of the salt in 100 g, g. */
export const saltSdPer100g = ({ saltPer100g }: Ingredient): number =>
  saltPer100g === 0
    ? 0
    : Math.min(100 - saltPer100g, Math.max(FIGURE_SPREADS.saltLeastG, FIGURE_SPREADS.saltCv * saltPer100g));

/** sd of the energy of 100 g, kJ, from that of its composition. */
export const energySdKjPer100g = ({ per100g }: Ingredient): number =>
  Math.hypot(...PARTS.map((part) => ENERGY_KJ_PER_G[part] * per100g[part].sd));
