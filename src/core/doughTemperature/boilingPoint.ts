/**
 * Air pressure of the International Standard Atmosphere (ISO 2533:1975), valid from -430 to 11,000 m.
 * @returns Pa: 101,325 at sea level, 81,489 at 1,800 m
 */
export function airPressurePa(altitudeM: number): number {
  return 101_325 * (1 - 2.25577e-5 * altitudeM) ** 5.25588;
}

/**
 * Boiling point of water at an altitude, from the Antoine equation (constants of Dortmund Data Bank for 1-100 °C).
 *
 * 100 °C at the sea, 95 °C at 1,500 m.
 * @returns °C: 100.0 at sea level, 94.0 at 1,800 m, within 0.2 °C from -430 to 5,500 m
 */
export function boilingPointC(altitudeM: number): number {
  const mmHg = airPressurePa(altitudeM) / 133.322368;
  return 1730.63 / (8.07131 - Math.log10(mmHg)) - 233.426;
}
