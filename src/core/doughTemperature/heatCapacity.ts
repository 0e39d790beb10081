import type { Composition } from '../ingredients/ingredient';

/**
 * Specific heat of the components of food, J/(kg K), at a temperature in °C from -40 to 150: Choi & Okos 1986, "Effects of
 * temperature and composition on the thermal properties of foods", Food Engineering and Process Applications 1:93-101.
 */
const COMPONENT: Readonly<Record<keyof Composition, readonly [number, number, number]>> = {
  water: [4176.2, -9.0864e-2, 5.4731e-3],
  protein: [2008.2, 1.2089, -1.3129e-3],
  fat: [1984.2, 1.4733, -4.8008e-3],
  starch: [1548.8, 1.9625, -5.9399e-3],
  sugars: [1548.8, 1.9625, -5.9399e-3],
  fibre: [1845.9, 1.8306, -4.6509e-3],
  ash: [1092.6, 1.8896, -3.6817e-3],
  // acids, alcohol and what leaves as gas: taken as carbohydrate
  other: [1548.8, 1.9625, -5.9399e-3],
};

/**
 * Specific heat of an ingredient above its freezing point.
 * @returns J/(g K): water at 20 °C 4.177, rice flour about 1.9, oil 2.0
 */
export function specificHeatJPerGK(per100g: Composition, tempC: number): number {
  let sum = 0;
  let mass = 0;
  for (const [name, [a, b, c]] of Object.entries(COMPONENT) as [
    keyof Composition,
    readonly [number, number, number],
  ][]) {
    const part = per100g[name].value;
    mass += part;
    sum += part * (a + b * tempC + c * tempC * tempC);
  }
  return mass > 0 ? sum / mass / 1000 : 1.6;
}
