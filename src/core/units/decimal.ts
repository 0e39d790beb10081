import { ok, refuse, type Result } from '../result';

const DECIMAL = /^[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)$/;

/**
 * Reads one plain decimal number as people type it: "12", "12.5", "12,5", ".5", "−3" (a true minus sign too).
 * Exponents, hexadecimal, thousands separators and words are refused rather than guessed at: "1,200" is read
 * as 1.2 in half of Europe and as twelve hundred elsewhere, so three digits after a comma are refused.
 *
 * "12.5" and "12,5" are numbers; "1,200" is none, as nobody can tell which.
 */
export function parseDecimal(text: string): Result<number> {
  const trimmed = text.trim().replace(/\u2212/g, '-');
  if (trimmed === '') return refuse('required');
  if (trimmed.length > 24 || !DECIMAL.test(trimmed)) return refuse('notANumber');
  if (/,\d{3}$/.test(trimmed) && !/^[+-]?0?,/.test(trimmed)) return refuse('notANumber');
  return ok(Number(trimmed.replace(',', '.')));
}

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
 * Writes a number with at most `decimals` places and no trailing zeros, always with a point: what a cell shows
 * must be readable by {@link parseDecimal}. Rounds half away from zero at the shown place.
 */
export function formatDecimal(value: number, decimals: number): string {
  const scale = 10 ** decimals;
  const rounded = (Math.sign(value) * Math.round(Math.abs(value) * scale + 1e-9)) / scale;
  const text = rounded.toFixed(decimals);
  return decimals > 0 ? text.replace(/\.?0+$/, '') : text;
}
