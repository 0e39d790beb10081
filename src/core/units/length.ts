import { ok, refuse, type Result } from '../result';
import { formatDecimal, parseDecimal, type DecimalMark } from './decimal';

export type LengthUnit = 'cm' | 'in';

const CM_PER_INCH = 2.54;
const M_PER_FOOT = 0.3048;
const LITRES_PER_QUART = 0.946352946;

const CM: Readonly<Record<string, number>> = {
  mm: 0.1,
  cm: 1,
  m: 100,
  in: CM_PER_INCH,
  inch: CM_PER_INCH,
  inches: CM_PER_INCH,
  '"': CM_PER_INCH,
  ft: 12 * CM_PER_INCH,
};

/**
 * Reads a length: "24", "24 cm", "9 1/2 in"-like halves as "9.5 in", "18 mm"; a bare number is in `bareUnit`.
 * @returns cm
 */
export function parseLengthCm(
  text: string,
  bareUnit: 'mm' | 'cm' | 'm' | 'in' | 'ft',
  mark: DecimalMark = 'point',
): Result<number> {
  const match = /^\s*([^a-zA-Z"]*?)\s*([a-zA-Z]*|")\s*$/.exec(text);
  if (!match) return refuse('notANumber');
  const number = parseDecimal(match[1] ?? '', mark);
  if (!number.ok) return number;
  const unit = (match[2] ?? '').toLowerCase() || bareUnit;
  const factor = Object.hasOwn(CM, unit) ? CM[unit] : undefined;
  return factor === undefined ? refuse('unknownUnit', '', { unit }) : ok(number.value * factor);
}

/** A length of a tin, a disc, a loaf, in the reader's unit, without it. */
export const lengthNumber = (lengthCm: number, unit: LengthUnit): string =>
  formatDecimal(unit === 'cm' ? lengthCm : lengthCm / CM_PER_INCH, unit === 'cm' ? 1 : 2);

/** What is thin is said in millimetres, or in inches to the hundredth. */
export const thicknessNumber = (thickMm: number, unit: LengthUnit): string =>
  formatDecimal(unit === 'cm' ? thickMm : thickMm / 10 / CM_PER_INCH, unit === 'cm' ? 1 : 2);

/** A height above the sea, m or ft. */
export const heightNumber = (heightM: number, unit: LengthUnit): string =>
  formatDecimal(unit === 'cm' ? heightM : heightM / M_PER_FOOT, 0);

/** A volume of an oven or a pot: litres, or US quarts beside inches. */
export const volumeNumber = (litres: number, unit: LengthUnit): string =>
  formatDecimal(unit === 'cm' ? litres : litres / LITRES_PER_QUART, 1);

/** Reads "62", "62 l", "3 qt"; a bare number is in the reader's unit. @returns litres */
export function parseLitres(text: string, bareUnit: LengthUnit, mark: DecimalMark = 'point'): Result<number> {
  const match = /^\s*([^a-zA-Z]*?)\s*([a-zA-Z]*)\s*$/.exec(text);
  if (!match) return refuse('notANumber');
  const number = parseDecimal(match[1] ?? '', mark);
  if (!number.ok) return number;
  const unit = (match[2] ?? '').toLowerCase() || (bareUnit === 'cm' ? 'l' : 'qt');
  if (unit === 'l' || unit === 'litre' || unit === 'litres' || unit === 'liters') return number;
  if (unit === 'ml') return ok(number.value / 1000);
  return unit === 'qt' ? ok(number.value * LITRES_PER_QUART) : refuse('unknownUnit', '', { unit });
}
