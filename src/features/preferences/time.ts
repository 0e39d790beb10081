'use client';
import { useMemo } from 'react';
import { usePreferences } from './PreferencesProvider';

/**
 * Times of day and dates in the kitchen's own zone, so that server and browser write the same and a bake reads the same
 * from another country.
 */
export function useKitchenTime() {
  const { timeZone } = usePreferences();
  return useMemo(() => {
    const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone });
    const day = new Intl.DateTimeFormat('en-GB', {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      timeZone,
    });
    const year = new Intl.DateTimeFormat('en-GB', { year: 'numeric', timeZone });
    return {
      clock: (ms: number) => clock.format(ms),
      day: (ms: number) => day.format(ms),
      dayAndYear: (ms: number) => `${day.format(ms)} ${year.format(ms)}`,
      dayAndClock: (ms: number) => `${day.format(ms)}, ${clock.format(ms)}`,
    };
  }, [timeZone]);
}
