'use client';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import {
  degreesPerC,
  formatDurationRange,
  formatMass,
  formatTemperature,
  massNumber,
  parseMassG,
  parseTemperatureC,
  temperatureNumber,
} from '@/core/units';
import { PREFERENCE_COOKIE, writePreferences, type Preferences } from './preferences';

interface PreferencesValue {
  readonly preferences: Preferences;
  readonly timeZone: string;
  readonly change: (part: Partial<Preferences>) => void;
}

const Context = createContext<PreferencesValue | null>(null);

export function PreferencesProvider({
  initial,
  timeZone,
  children,
}: {
  initial: Preferences;
  timeZone: string;
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
  const value = useMemo(() => ({ preferences, timeZone, change }), [preferences, timeZone, change]);
  return <Context value={value}>{children}</Context>;
}

export function usePreferences(): PreferencesValue {
  const value = useContext(Context);
  if (!value) throw new Error('usePreferences needs a PreferencesProvider above it');
  return value;
}

/** Reading and writing of masses and temperatures in the reader's units; grams and °C on our side. */
export function useUnits() {
  const { preferences } = usePreferences();
  const { massUnit, temperatureUnit } = preferences;
  return useMemo(
    () => ({
      massUnit,
      temperatureUnit: `°${temperatureUnit}`,
      mass: (massG: number) => formatMass(massG, massUnit),
      massNumber: (massG: number) => massNumber(massG, massUnit),
      parseMass: (text: string) => parseMassG(text, massUnit),
      duration: formatDurationRange,
      temperature: (tempC: number) => formatTemperature(tempC, temperatureUnit),
      temperatureNumber: (tempC: number) =>
        temperatureNumber(tempC, temperatureUnit, temperatureUnit === 'F' ? 0 : 1),
      /** Degrees of the reader's unit in a difference of 1 °C. */
      degreesPerC: degreesPerC(temperatureUnit),
      parseTemperature: (text: string) => parseTemperatureC(text, temperatureUnit),
    }),
    [massUnit, temperatureUnit],
  );
}
