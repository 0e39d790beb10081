import type { MeasureSystem } from '@/core/quantity';
import type { LengthUnit, MassUnit, TemperatureUnit } from '@/core/units';

/** What stands beside the grams: how a recipe said it, cups and spoons for whatever has a measure, or nothing. */
export const BESIDE_GRAMS = ['said', 'spoons', 'nothing'] as const;
type BesideGrams = (typeof BESIDE_GRAMS)[number];

/** How this reader wants to see things. Kept in cookies, so that the server draws the first page right at once. */
export interface Preferences {
  readonly light: 'day' | 'dim';
  readonly massUnit: MassUnit;
  readonly temperatureUnit: TemperatureUnit;
  readonly lengthUnit: LengthUnit;
  /** Whose cups and egg sizes are meant when they are typed. */
  readonly measure: MeasureSystem;
  readonly besideGrams: BesideGrams;
  /** Single letters do something; who dictates, or rests a hand on the keys, turns that off. */
  readonly shortcuts: 'on' | 'off';
}

export const PREFERENCE_COOKIE = 'crumb-view';

/** Reads the cookie "dim.oz.F.us.in.off.spoons"; whatever is missing or strange falls back to day, grams, Celsius and metric cups. */
export function readPreferences(cookie: string | undefined): Preferences {
  const [light, mass, temperature, measure, length, shortcuts, beside] = (cookie ?? '').split('.');
  return {
    light: light === 'dim' ? 'dim' : 'day',
    massUnit: mass === 'oz' ? 'oz' : 'g',
    temperatureUnit: temperature === 'F' ? 'F' : 'C',
    measure: measure === 'us' || measure === 'imperial' ? measure : 'metric',
    // before there was a switch of its own, inches went with ounces
    lengthUnit: length === 'in' || (length === undefined && mass === 'oz') ? 'in' : 'cm',
    shortcuts: shortcuts === 'off' ? 'off' : 'on',
    besideGrams: BESIDE_GRAMS.find((each) => each === beside) ?? 'said',
  };
}

export const writePreferences = ({
  light,
  massUnit,
  temperatureUnit,
  measure,
  lengthUnit,
  shortcuts,
  besideGrams,
}: Preferences): string =>
  [light, massUnit, temperatureUnit, measure, lengthUnit, shortcuts, besideGrams].join('.');
