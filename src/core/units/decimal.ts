import { ok, refuse, type Result } from '../result';

const DECIMAL = /^[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)$/;

/** What a kitchen writes before the tenths. */
export type DecimalMark = 'point' | 'comma';

/**
 * Reads one plain decimal number as people type it: "12", "12.5", "12,5", ".5", "−3" (a true minus sign too).
 * Exponents, hexadecimal, thousands separators and words are refused rather than guessed at: "1,200" is read
 * as 1.2 in half of Europe and as twelve hundred elsewhere, so three digits after a comma are refused; not so in a kitchen that writes
 * the comma itself, where three digits after a point are.
 *
 * "12.5" and "12,5" are numbers; "1,200" is none, as nobody can tell which.
 */
export function parseDecimal(text: string, mark: DecimalMark = 'point'): Result<number> {
  const trimmed = text.trim().replace(/\u2212/g, '-');
  if (trimmed === '') return refuse('required');
  if (trimmed.length > 24 || !DECIMAL.test(trimmed)) return refuse('notANumber');
  const unsure = mark === 'comma' ? /^[+-]?[1-9]\d{0,2}\.\d{3}$/ : /^[+-]?(?!0?,)\d+,\d{3}$/;
  if (unsure.test(trimmed)) return refuse('notANumber');
  return ok(Number(trimmed.replace(',', '.')));
}

/** Numbers written by this module's functions, with the kitchen's mark in them. */
export const withMark = (text: string, mark: DecimalMark): string =>
  mark === 'comma' ? text.replace(/(\d)\.(?=\d)/g, '$1,') : text;

export interface Bounds {
  readonly min: number;
  readonly max: number;
}

/** The value if it lies in the closed range, otherwise a refusal that carries the limit it broke. */
export function within(value: number, { min, max }: Bounds, path = ''): Result<number> {
  if (!Number.isFinite(value)) return refuse('notANumber', path);
  if (value < min) return refuse('tooSmall', path, { min });
  if (value > max) return refuse('tooLarge', path, { max });
  return ok(value);
}

/**
 * Writes a number with at most `decimals` places and no trailing zeros, with a point and nothing between thousands: what a cell shows
 * must be readable by {@link parseDecimal}. Rounds half away from zero at the shown place. {@link withMark} puts a comma in.
 */
export function formatDecimal(value: number, decimals: number): string {
  const scale = 10 ** decimals;
  const rounded = (Math.sign(value) * Math.round(Math.abs(value) * scale + 1e-9)) / scale;
  const text = rounded.toFixed(decimals);
  return decimals > 0 ? text.replace(/\.?0+$/, '') : text;
}
