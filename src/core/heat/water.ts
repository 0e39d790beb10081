import { HEAT } from './parameters';

const BELOW = { a: 8.07131, b: 1730.63, c: 233.426 } as const;
const ABOVE = { a: 8.14019, b: 1810.94, c: 244.485 } as const;
/** The two sets of constants miss one another by half a percent at 100 °C: the upper is brought down to the lower. */
const JOIN = 10 ** (BELOW.a - BELOW.b / (BELOW.c + 100) - ABOVE.a + ABOVE.b / (ABOVE.c + 100));
const PA_PER_MMHG = 133.322368;

/**
 * Vapour pressure of water, Pa, 0-180 °C: Antoine, Dortmund Data Bank constants below and above 100 °C, joined there. 2,339 at
 * 20 °C, 101,325 at 100 °C.
 */
export function vapourPressurePa(tempC: number): number {
  const mmHg =
    tempC < 100
      ? 10 ** (BELOW.a - BELOW.b / (BELOW.c + tempC))
      : JOIN * 10 ** (ABOVE.a - ABOVE.b / (ABOVE.c + tempC));
  return mmHg * PA_PER_MMHG;
}

/** The temperature at which water boils under a pressure, °C: the same the other way round. */
export function boilingAtC(pressurePa: number): number {
  const mmHg = pressurePa / PA_PER_MMHG;
  const low = BELOW.b / (BELOW.a - Math.log10(mmHg)) - BELOW.c;
  return low < 100 ? low : ABOVE.b / (ABOVE.a - Math.log10(mmHg / JOIN)) - ABOVE.c;
}

const FROM_C = -10;
const STEP_C = 0.5;
const TABLE = Float64Array.from({ length: 381 }, (_, index) => vapourPressurePa(FROM_C + index * STEP_C));

/** The same from a table, linear between half degrees (error below 0.05 %): asked some million times in a bake. */
export function vapourPressureFast(tempC: number): number {
  const at = (tempC - FROM_C) / STEP_C;
  if (at <= 0) return TABLE[0]!;
  if (at >= 379) return TABLE[379]!;
  const low = at | 0;
  return TABLE[low]! + (TABLE[low + 1]! - TABLE[low]!) * (at - low);
}

const { at100: LATENT_AT_100, perK: LATENT_PER_K } = HEAT.latent;
/** Latent heat at a temperature, J/kg. */
export const latentJPerKg = (tempC: number): number => LATENT_AT_100 + LATENT_PER_K * (tempC - 100);

/**
 * What vapour that evaporates on a bubble's warm side and condenses on its cold side adds to conduction, W/(m K), for straight
 * free pores: D L (M / R T) · p/(p - p_s) · dp_s/dT (Krischer; de Vries 1958). 0.08 at 30 °C, 1.7 at 80 °C.
 */
export function vapourConductionWPerMK(tempC: number, pressurePa: number): number {
  const kelvin = tempC + 273.15;
  const diffusion = 2.6e-5 * (kelvin / 298.15) ** 1.81 * (101_325 / pressurePa);
  const slope = (vapourPressurePa(tempC + 0.5) - vapourPressurePa(tempC - 0.5)) / 1;
  const saturated = Math.min(0.9, vapourPressurePa(tempC) / pressurePa);
  return (diffusion * latentJPerKg(tempC) * (0.018015 / (8.314462 * kelvin)) * slope) / (1 - saturated);
}

/** Vapour's diffusion in still air of 80 °C, kg/(s m Pa): 2.2e-10 at sea level. */
export const vapourPassesKgPerSMPa = (pressurePa: number): number =>
  2.6e-5 * (353 / 298.15) ** 1.81 * (101_325 / pressurePa) * (0.018015 / (8.314462 * 353));
