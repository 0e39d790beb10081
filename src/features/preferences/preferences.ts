import type { MeasureSystem } from '@/core/quantity';
import type { MassUnit, TemperatureUnit } from '@/core/units';

/** How this reader wants to see things. Kept in cookies, so that the server draws the first page right at once. */
export interface Preferences {
  readonly light: 'day' | 'dim';
  readonly massUnit: MassUnit;
  readonly temperatureUnit: TemperatureUnit;
  /** Whose cups and egg sizes are meant when they are typed. */
  readonly measure: MeasureSystem;
}

export const PREFERENCE_COOKIE = 'crumb-view';

/** Reads the cookie "dim.oz.F.us"; whatever is missing or strange falls back to day, grams, Celsius and metric cups. */
export function readPreferences(cookie: string | undefined): Preferences {
  const [light, mass, temperature, measure] = (cookie ?? '').split('.');
  return {
    light: light === 'dim' ? 'dim' : 'day',
    massUnit: mass === 'oz' ? 'oz' : 'g',
    temperatureUnit: temperature === 'F' ? 'F' : 'C',
    measure: measure === 'us' || measure === 'imperial' ? measure : 'metric',
  };
}

export const writePreferences = ({ light, massUnit, temperatureUnit, measure }: Preferences): string =>
  [light, massUnit, temperatureUnit, measure].join('.');
