'use client';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import type { KitchenDetails } from '@/core/kit';
import { ok, type Result } from '@/core/result';
import {
  degreesPerC,
  formatDecimal,
  formatDurationRange,
  formatMass,
  formatTemperature,
  heightNumber,
  lengthNumber,
  massCell,
  parseDecimal,
  parseLengthCm,
  parseLitres,
  parseMassG,
  parseTemperatureC,
  showMass,
  temperatureNumber,
  thicknessNumber,
  volumeNumber,
  withMark,
} from '@/core/units';
import { PREFERENCE_COOKIE, writePreferences, type Preferences } from './preferences';

/** How the kitchen writes times and numbers: the same for everybody in it. */
export type KitchenWays = Pick<KitchenDetails, 'timeZone' | 'clockFace' | 'decimalMark' | 'weekStart'>;

/** The reader's own choices, and the kitchen's mark: what it takes to word a figure. */
type Reader = Preferences & Pick<KitchenWays, 'decimalMark'>;

interface PreferencesValue {
  readonly preferences: Reader;
  readonly ways: KitchenWays;
  readonly change: (part: Partial<Preferences>) => void;
}

const Context = createContext<PreferencesValue | null>(null);

export function PreferencesProvider({
  initial,
  ways,
  children,
}: {
  initial: Preferences;
  ways: KitchenWays;
  children: ReactNode;
}) {
  const [preferences, setPreferences] = useState(initial);
  const change = useCallback(
    (part: Partial<Preferences>) => {
      const next = { ...preferences, ...part };
      document.cookie = `${PREFERENCE_COOKIE}=${writePreferences(next)};path=/;max-age=31536000;samesite=strict`;
      document.documentElement.dataset.light = next.light;
      setPreferences(next);
    },
    [preferences],
  );
  useEffect(() => {
    // a key may have turned the lamp while this code was on its way
    const light = document.documentElement.dataset.light === 'dim' ? 'dim' : 'day';
    if (light === initial.light) return undefined;
    const timer = setTimeout(() => setPreferences((before) => ({ ...before, light })));
    return () => clearTimeout(timer);
  }, [initial.light]);
  const value = useMemo(
    () => ({ preferences: { ...preferences, decimalMark: ways.decimalMark }, ways, change }),
    [preferences, ways, change],
  );
  return <Context value={value}>{children}</Context>;
}

export function usePreferences(): PreferencesValue {
  const value = useContext(Context);
  if (!value) throw new Error('usePreferences needs a PreferencesProvider above it');
  return value;
}

/** Numbers as this kitchen writes them, and reads them. Thousands are never parted. */
export function useNumbers() {
  const { decimalMark } = usePreferences().ways;
  return useMemo(() => {
    const mark = (text: string) => withMark(text, decimalMark);
    /** At most so many places, no zeros at the end. */
    const decimal = (value: number, places: number) => mark(formatDecimal(value, places));
    /** Just so many places. */
    const fixed = (value: number, places: number) => mark(value.toFixed(places));
    return {
      mark,
      decimal,
      fixed,
      /** "12.5 %", a dash where there is nothing to be a percentage of. */
      percent: (percent: number | null, places = 1) =>
        percent === null ? '–' : `${fixed(percent, places)} %`,
      parse: (text: string) => parseDecimal(text, decimalMark),
    };
  }, [decimalMark]);
}
export type Numbers = ReturnType<typeof useNumbers>;

/** Reading and writing in the reader's units and with the kitchen's decimal mark; grams, °C, centimetres and litres on our side. */
export function useUnits() {
  const { preferences, ways } = usePreferences();
  const { massUnit, temperatureUnit, lengthUnit } = preferences;
  const { decimalMark } = ways;
  return useMemo(() => {
    const mark = (text: string) => withMark(text, decimalMark);
    const metric = lengthUnit === 'cm';
    const mass = (massG: number) => mark(formatMass(massG, massUnit));
    const thickUnit = metric ? 'mm' : 'in';
    const heightUnit = metric ? 'm' : 'ft';
    return {
      massUnit,
      temperatureUnit: `°${temperatureUnit}`,
      mass,
      /** What a cell shows that has the unit beside it. */
      massCell: (massG: number) => mark(massCell(massG, massUnit)),
      /** Number and unit apart, to be shown in two sizes. */
      massShown: (massG: number) => {
        const { number, unit } = showMass(massG, massUnit);
        return { number: mark(number), unit };
      },
      massRange: (lowG: number, highG: number) => {
        const [low, high] = [showMass(lowG, massUnit), showMass(highG, massUnit)];
        const same = low.unit === high.unit && !low.number.includes('lb');
        return mark(`${low.number}${same ? '' : ` ${low.unit}`}–${high.number} ${high.unit}`);
      },
      parseMass: (text: string) => parseMassG(text, massUnit, decimalMark),
      duration: formatDurationRange,
      temperature: (tempC: number) => formatTemperature(tempC, temperatureUnit),
      temperatureNumber: (tempC: number) =>
        mark(temperatureNumber(tempC, temperatureUnit, temperatureUnit === 'F' ? 0 : 1)),
      /** Degrees of the reader's unit in a difference of 1 °C. */
      degreesPerC: degreesPerC(temperatureUnit),
      /** A difference of temperatures: 5 °C are 9 °F. */
      degrees: (differenceC: number, places = 0) =>
        `${mark(formatDecimal(differenceC * degreesPerC(temperatureUnit), places))} °${temperatureUnit}`,
      parseTemperature: (text: string) => parseTemperatureC(text, temperatureUnit, decimalMark),
      lengthUnit,
      lengthNumber: (lengthCm: number) => mark(lengthNumber(lengthCm, lengthUnit)),
      length: (lengthCm: number) => `${mark(lengthNumber(lengthCm, lengthUnit))} ${lengthUnit}`,
      parseLength: (text: string) => parseLengthCm(text, lengthUnit, decimalMark),
      thickUnit,
      thickNumber: (thickMm: number) => mark(thicknessNumber(thickMm, lengthUnit)),
      thick: (thickMm: number) => `${mark(thicknessNumber(thickMm, lengthUnit))} ${thickUnit}`,
      /** @returns mm */
      parseThick: (text: string) => scaled(parseLengthCm(text, thickUnit, decimalMark), 10),
      heightUnit,
      heightNumber: (heightM: number) => heightNumber(heightM, lengthUnit),
      height: (heightM: number) => `${heightNumber(heightM, lengthUnit)} ${heightUnit}`,
      /** @returns m */
      parseHeight: (text: string) => scaled(parseLengthCm(text, heightUnit, decimalMark), 0.01),
      volumeUnit: metric ? 'l' : 'qt',
      volumeNumber: (litres: number) => mark(volumeNumber(litres, lengthUnit)),
      parseVolume: (text: string) => parseLitres(text, lengthUnit, decimalMark),
    };
  }, [massUnit, temperatureUnit, lengthUnit, decimalMark]);
}
export type Units = ReturnType<typeof useUnits>;

const scaled = (result: Result<number>, factor: number): Result<number> =>
  result.ok ? ok(result.value * factor) : result;
