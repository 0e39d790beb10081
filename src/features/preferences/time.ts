'use client';
import { usePreferences } from './PreferencesProvider';

export interface KitchenTime {
  readonly clock: (ms: number) => string;
  readonly day: (ms: number) => string;
  readonly dayAndYear: (ms: number) => string;
  readonly dayAndClock: (ms: number) => string;
}

function kitchenTime(timeZone: string): KitchenTime {
  const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone });
  const day = new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone,
  });
  const year = new Intl.DateTimeFormat('en-GB', { year: 'numeric', timeZone });
  return {
    clock: (ms) => clock.format(ms),
    day: (ms) => day.format(ms),
    dayAndYear: (ms) => `${day.format(ms)} ${year.format(ms)}`,
    dayAndClock: (ms) => `${day.format(ms)}, ${clock.format(ms)}`,
  };
}

/** Making a format costs more than a hundred uses of it: one for each zone, whoever asks. */
const byZone = new Map<string, KitchenTime>();

/**
 * Times of day and dates in the kitchen's own zone, so that server and browser write the same and a bake reads the same
 * from another country.
 */
export function useKitchenTime(): KitchenTime {
  const { timeZone } = usePreferences();
  const known = byZone.get(timeZone);
  if (known) return known;
  const made = kitchenTime(timeZone);
  byZone.set(timeZone, made);
  return made;
}
