import { FIGURES } from '../calibrated';
import { FERMENTATION, GAS_CONSTANT } from './parameters';

const { referenceC, kill, henry } = FERMENTATION;

/** Temperatures between which yeast gasses, °C. */
export interface Cardinal {
  readonly min: number;
  readonly best: number;
  readonly max: number;
}
const CARDINAL: Cardinal = {
  min: FIGURES['cardinal.min'],
  best: FIGURES['cardinal.best'],
  max: FERMENTATION.warmestC,
};

/**
 * Cardinal temperature model with inflection (Rosso, Lobry, Bajard & Flandrois 1993, J. Theor. Biol. 162:447-463), 0 at and beyond
 * both ends, 1 at the best.
 */
export function cardinal(tempC: number, { min, best, max }: Cardinal = CARDINAL): number {
  if (tempC <= min || tempC >= max) return 0;
  const up = tempC - min;
  const span = best - min;
  return (
    ((tempC - max) * up * up) / (span * (span * (tempC - best) - (best - max) * (best + min - 2 * tempC)))
  );
}

/** The reference temperature of all gassing figures, °C: paces are told against this. */
export const REFERENCE_C = referenceC;

const SALT_G_PER_MOL = 58.44;
const HEXOSE_G_PER_MOL = 180.16;
/**
 * What is dissolved in a dough's water, osmol/kg: salt in two ions, sugars as single hexoses, for yeast splits cane sugar within minutes.
 * An ordinary dough (1.8 % salt, 2.5 % sugar, 95 % water) has about 0.8.
 */
export const osmolPerKg = (sugarG: number, saltG: number, waterG: number): number =>
  waterG > 0 ? (1000 * (sugarG / HEXOSE_G_PER_MOL + (2 * saltG) / SALT_G_PER_MOL)) / waterG : Infinity;

/** Salt and sugar draw the water from the yeast: exp(-k osm²), 0.9 in an ordinary dough, 0.4 with 30 g of sugar on 100 g of water. */
export const osmoticBrake = (osmol: number, k: number): number => Math.exp(-k * osmol * osmol);

/** Share of living yeast lost per second at a temperature: next to none below 45 °C, a tenth left after half a minute at 60 °C. */
export const killedPerS = (tempC: number): number =>
  tempC < 40 ? 0 : Math.LN10 / (kill.at55Min * 60) / 10 ** ((55 - tempC) / kill.zC);

/** What a gram of water holds under an atmosphere of pure CO2 at this pressure, mmol. */
export const dissolvedMmolPerG = (tempC: number, pressurePa: number): number =>
  henry.mmolPerGAt25 * Math.exp(henry.slopeK * (1 / (tempC + 273.15) - 1 / 298.15)) * (pressurePa / 101_325);

/** Volume of a mmol of gas, ml: 24.5 at 25 °C and sea level. */
export const mlPerMmol = (tempC: number, pressurePa: number): number =>
  (GAS_CONSTANT * (tempC + 273.15) * 1000) / pressurePa;

/** mmol of CO2 per second and gram of fresh yeast at the reference temperature, for a rate in ml per minute. */
export const mmolPerS = (mlPerMin: number): number => mlPerMin / 60 / mlPerMmol(referenceC, 101_325);
