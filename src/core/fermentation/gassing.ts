import { FERMENTATION, GAS_CONSTANT } from './parameters';

const { cardinalC, referenceC, kill, sugarBrake, saltBrake, henry } = FERMENTATION;

/**
 * Cardinal temperature model with inflection (Rosso, Lobry, Bajard & Flandrois 1993, J. Theor. Biol. 162:447-463), 0 at and beyond
 * both ends, 1 at the best.
 */
export function cardinal(tempC: number, { min, best, max }: typeof cardinalC = cardinalC): number {
  if (tempC <= min || tempC >= max) return 0;
  const up = tempC - min;
  const span = best - min;
  return (
    ((tempC - max) * up * up) / (span * (span * (tempC - best) - (best - max) * (best + min - 2 * tempC)))
  );
}

/** The pace at the reference temperature, against that at the best. */
export const AT_REFERENCE = cardinal(referenceC);

/** 1 for ordinary doughs; sugar beyond about 7 % and salt beyond about 2 % of the flour base draw the water from the yeast. */
export function osmoticBrake(sugarPercent: number, saltPercent: number): number {
  const sugar = Math.max(0, sugarPercent - sugarBrake.freePercent) * sugarBrake.perPercent;
  const salt = Math.max(0, saltPercent - saltBrake.freePercent) * saltBrake.perPercent;
  return Math.exp(-sugar - salt);
}

/** Share of living yeast lost per second at a temperature: next to none below 45 °C, a tenth left after half a minute at 60 °C. */
export const killedPerS = (tempC: number): number =>
  tempC < 40 ? 0 : Math.LN10 / (kill.at55Min * 60) / 10 ** ((55 - tempC) / kill.zC);

/** What a gram of water holds under an atmosphere of pure CO2 at this pressure, mmol. */
export const dissolvedMmolPerG = (tempC: number, pressurePa: number): number =>
  henry.mmolPerGAt25 * Math.exp(henry.slopeK * (1 / (tempC + 273.15) - 1 / 298.15)) * (pressurePa / 101_325);

/** Volume of a mmol of gas, ml: 24.5 at 25 °C and sea level. */
export const mlPerMmol = (tempC: number, pressurePa: number): number =>
  (GAS_CONSTANT * (tempC + 273.15) * 1000) / pressurePa;

/** mmol of CO2 per second and gram of fresh yeast at the reference temperature. */
export const REFERENCE_MMOL_PER_S =
  FERMENTATION.gasMlPerMinPerFreshG.value / 60 / mlPerMmol(referenceC, 101_325);
