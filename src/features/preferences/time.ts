'use client';
import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import { usePreferences } from './PreferencesProvider';

export interface KitchenTime {
  readonly clock: (ms: number) => string;
  readonly day: (ms: number) => string;
  readonly dayAndYear: (ms: number) => string;
  readonly dayAndClock: (ms: number) => string;
}

/** Written times that are remembered at most, by zone and pattern. */
const MOST = 2000;

/** A list shows the same days to everybody who asks, and a date in a zone costs some thirty microseconds to write. */
function remembering(write: (ms: number) => string): (ms: number) => string {
  const written = new Map<number, string>();
  return (ms) => {
    const known = written.get(ms);
    if (known !== undefined) return known;
    if (written.size >= MOST) written.clear();
    const text = write(ms);
    written.set(ms, text);
    return text;
  };
}

function kitchenTime(timeZone: string): KitchenTime {
  const write = (pattern: string) => remembering((ms) => format(new TZDate(ms, timeZone), pattern));
  return {
    clock: write('HH:mm'),
    day: write('EEE d MMM'),
    dayAndYear: write('EEE d MMM yyyy'),
    dayAndClock: write('EEE d MMM, HH:mm'),
  };
}

/** One for each zone, whoever asks. */
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
