import { ok, refuse, type Result } from '../result';
import { formatDecimal, parseDecimal } from './decimal';

export type MassUnit = 'g' | 'oz';

/** International avoirdupois ounce and pound (1959 agreement), in grams. */
export const GRAMS_PER_OUNCE = 28.349523125;
export const GRAMS_PER_POUND = 16 * GRAMS_PER_OUNCE;

const FACTOR_G: Readonly<Record<string, number>> = {
  g: 1,
  gram: 1,
  grams: 1,
  kg: 1000,
  mg: 0.001,
  oz: GRAMS_PER_OUNCE,
  lb: GRAMS_PER_POUND,
};

/**
 * Reads a mass. A bare number is in the unit the reader has chosen; "1.2 kg", "350g", "4 oz", "1 lb" name theirs.
 * @returns grams, not limited to any range (that is the field's business)
 */
export function parseMassG(text: string, bareUnit: MassUnit): Result<number> {
  const match = /^\s*([^a-zA-Z]*?)\s*([a-zA-Z]*)\s*$/.exec(text);
  if (!match) return refuse('notANumber');
  const unit = (match[2] ?? '').toLowerCase();
  if (match[1] === '' && unit !== '') return refuse('notANumber');
  const number = parseDecimal(match[1] ?? '');
  if (!number.ok) return number;
  const named = unit === '' ? bareUnit : unit;
  const factor = Object.hasOwn(FACTOR_G, named) ? FACTOR_G[named] : undefined;
  return factor === undefined ? refuse('unknownUnit', '', { unit }) : ok(number.value * factor);
}

/** Places after the point that a mass deserves: what a kitchen scale for that amount could show. */
function gramPlaces(massG: number): number {
  const size = Math.abs(massG);
  return size < 10 ? 2 : size < 1000 ? 1 : 0;
}

/** The number alone, for a cell whose column names the unit. */
export function massNumber(massG: number, unit: MassUnit): string {
  if (unit === 'g') return formatDecimal(massG, gramPlaces(massG));
  const ounces = massG / GRAMS_PER_OUNCE;
  return formatDecimal(ounces, Math.abs(ounces) < 1 ? 3 : 2);
}

/** Number and unit: "812 g", "12.35 kg" from 10 kg up, "28.6 oz". */
export function formatMass(massG: number, unit: MassUnit): string {
  if (unit === 'g' && Math.abs(massG) >= 10_000) return `${formatDecimal(massG / 1000, 2)} kg`;
  return `${massNumber(massG, unit)} ${unit}`;
}
