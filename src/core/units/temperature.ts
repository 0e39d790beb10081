import { ok, refuse, type Result } from '../result';
import { formatDecimal, parseDecimal, type DecimalMark } from './decimal';

export type TemperatureUnit = 'C' | 'F';

export const fahrenheitToCelsius = (tempF: number): number => ((tempF - 32) * 5) / 9;
/** How many degrees of a unit a difference of 1 °C is; a difference has no zero to be shifted by. */
export const degreesPerC = (unit: TemperatureUnit): number => (unit === 'F' ? 9 / 5 : 1);

const celsiusToFahrenheit = (tempC: number): number => (tempC * 9) / 5 + 32;

/** Reads "230", "230 C", "230°C", "445 F"; a bare number is in the reader's unit. @returns °C */
export function parseTemperatureC(
  text: string,
  bareUnit: TemperatureUnit,
  mark: DecimalMark = 'point',
): Result<number> {
  const match = /^\s*([^a-zA-Z°]*?)\s*°?\s*([a-zA-Z]?)\s*$/.exec(text);
  if (!match) return refuse('notANumber');
  if (match[1] === '' && match[2] !== '') return refuse('notANumber');
  const number = parseDecimal(match[1] ?? '', mark);
  if (!number.ok) return number;
  const unit = (match[2] ?? '').toUpperCase() || bareUnit;
  if (unit === 'C') return number;
  return unit === 'F' ? ok(fahrenheitToCelsius(number.value)) : refuse('unknownUnit', '', { unit });
}

export function temperatureNumber(tempC: number, unit: TemperatureUnit, places = 0): string {
  return formatDecimal(unit === 'C' ? tempC : celsiusToFahrenheit(tempC), places);
}

export function formatTemperature(tempC: number, unit: TemperatureUnit, places = 0): string {
  return `${temperatureNumber(tempC, unit, places)} °${unit}`;
}
