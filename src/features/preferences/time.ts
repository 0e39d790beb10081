'use client';
import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { usePreferences } from './PreferencesProvider';

export interface KitchenTime {
  readonly clock: (ms: number) => string;
  readonly day: (ms: number) => string;
  readonly dayAndYear: (ms: number) => string;
  readonly dayAndClock: (ms: number) => string;
}

function kitchenTime(timeZone: string): KitchenTime {
  const write = (pattern: string) => (ms: number) => format(new TZDate(ms, timeZone), pattern);
  return {
    clock: write('HH:mm'),
    day: write('EEE d MMM'),
    dayAndYear: write('EEE d MMM yyyy'),
    dayAndClock: write('EEE d MMM, HH:mm'),
  };
}

/**
 * Times of day and dates in the kitchen's own zone, so that server and browser write the same and a bake reads the same
 * from another country.
 */
export function useKitchenTime(): KitchenTime {
  const { timeZone } = usePreferences();
  return useMemo(() => kitchenTime(timeZone), [timeZone]);
}
