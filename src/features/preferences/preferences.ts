import type { MassUnit, TemperatureUnit } from '@/core/units';

/** How this reader wants to see things. Kept in cookies, so that the server draws the first page right at once. */
export interface Preferences {
  readonly light: 'day' | 'dim';
  readonly massUnit: MassUnit;
  readonly temperatureUnit: TemperatureUnit;
}

export const PREFERENCE_COOKIE = 'crumb-view';

/** Reads the cookie "dim.oz.F"; whatever is missing or strange falls back to day, grams and Celsius. */
export function readPreferences(cookie: string | undefined): Preferences {
  const [light, mass, temperature] = (cookie ?? '').split('.');
  return {
    light: light === 'dim' ? 'dim' : 'day',
    massUnit: mass === 'oz' ? 'oz' : 'g',
    temperatureUnit: temperature === 'F' ? 'F' : 'C',
  };
}

export const writePreferences = ({ light, massUnit, temperatureUnit }: Preferences): string =>
  [light, massUnit, temperatureUnit].join('.');
