import { ok, refuse, type Result } from '../result';
import { formatDecimal, parseDecimal, type DecimalMark } from './decimal';

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
  lbs: GRAMS_PER_POUND,
};

/**
 * Reads a mass. A bare number is in the unit the reader has chosen; "1.2 kg", "350g", "4 oz", "1 lb", "2 lb 3.5 oz" name theirs.
 * @returns grams, not limited to any range (that is the field's business)
 */
export function parseMassG(text: string, bareUnit: MassUnit, mark: DecimalMark = 'point'): Result<number> {
  const pounds = /^\s*(.*?)\s*lbs?\s+(.+?)\s*oz\s*$/i.exec(text);
  if (pounds) {
    const [lb, oz] = [parseDecimal(pounds[1] ?? '', mark), parseDecimal(pounds[2] ?? '', mark)];
    if (!lb.ok) return lb;
    return oz.ok ? ok(lb.value * GRAMS_PER_POUND + oz.value * GRAMS_PER_OUNCE) : oz;
  }
  const match = /^\s*([^a-zA-Z]*?)\s*([a-zA-Z]*)\s*$/.exec(text);
  if (!match) return refuse('notANumber');
  const unit = (match[2] ?? '').toLowerCase();
  if (match[1] === '' && unit !== '') return refuse('notANumber');
  const number = parseDecimal(match[1] ?? '', mark);
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

/** Ounces as a scale shows them: tenths. */
const OUNCE_PLACES = 1;
const TENTHS_IN_POUND = 160;

/** A number and the unit that goes with it, to be shown in two sizes; pounds stand within the number: "2 lb 3.5" and "oz". */
export interface MassShown {
  readonly number: string;
  readonly unit: string;
}

/**
 * A mass as a scale shows it: grams, kilograms from 10 kg up; or pounds and ounces, and grams under one ounce, where no scale's tenth of an
 * ounce would do.
 */
export function showMass(massG: number, unit: MassUnit): MassShown {
  const size = Math.abs(massG);
  if (unit === 'g' && size >= 10_000) return { number: formatDecimal(massG / 1000, 2), unit: 'kg' };
  const tenths = Math.round((10 * size) / GRAMS_PER_OUNCE);
  if (unit === 'g' || tenths < 10) return { number: formatDecimal(massG, gramPlaces(massG)), unit: 'g' };
  const sign = massG < 0 ? '-' : '';
  const ounces = formatDecimal((tenths % TENTHS_IN_POUND) / 10, OUNCE_PLACES);
  if (tenths < TENTHS_IN_POUND) return { number: `${sign}${ounces}`, unit: 'oz' };
  return { number: `${sign}${Math.floor(tenths / TENTHS_IN_POUND)} lb ${ounces}`, unit: 'oz' };
}

/** Number and unit: "812 g", "12.35 kg", "2 lb 3.5 oz", "5.3 oz", "4 g". Is read again by {@link parseMassG}. */
export function formatMass(massG: number, unit: MassUnit): string {
  const shown = showMass(massG, unit);
  return `${shown.number} ${shown.unit}`;
}

/** What a cell shows whose unit stands beside it: the number alone where it is in that unit, else with its own. */
export function massCell(massG: number, unit: MassUnit): string {
  const shown = showMass(massG, unit);
  if (unit === 'g') return formatDecimal(massG, gramPlaces(massG));
  return shown.unit === unit && !shown.number.includes('lb') ? shown.number : `${shown.number} ${shown.unit}`;
}
