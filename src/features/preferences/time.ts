'use client';
import { DAYS, MONTHS } from '@/wording/calendar';
import { usePreferences, type KitchenWays } from './PreferencesProvider';

export interface KitchenTime {
  readonly clock: (ms: number) => string;
  /** Of the day, 0 to 23. */
  readonly hour: (ms: number) => number;
  readonly day: (ms: number) => string;
  readonly dayAndYear: (ms: number) => string;
  readonly dayAndClock: (ms: number) => string;
  /** As documents write a day: `2026-11-19`. */
  readonly isoDay: (ms: number) => string;
}

/** Written times that are remembered at most, by zone and pattern. */
const MOST = 2000;

/** A list shows the same days to everybody who asks, and a date in a zone costs some ten microseconds to write. */
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

/** The figures of a moment where the clock hangs. Only figures: words for days and months differ between browsers. */
function figuresIn(timeZone: string) {
  const format = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
  });
  return (ms: number) => {
    const found: Partial<Record<Intl.DateTimeFormatPartTypes, number>> = {};
    for (const { type, value } of format.formatToParts(ms)) found[type] = Number(value);
    const { year = 0, month = 1, day = 1, hour = 0, minute = 0 } = found;
    return { year, month, day, hour, minute, weekday: new Date(Date.UTC(year, month - 1, day)).getUTCDay() };
  };
}

const two = (figure: number): string => String(figure).padStart(2, '0');

function kitchenTime(timeZone: string, face: KitchenWays['clockFace']): KitchenTime {
  const figures = figuresIn(timeZone);
  const clock = (ms: number): string => {
    const { hour, minute } = figures(ms);
    if (face === '24') return `${two(hour)}:${two(minute)}`;
    return `${hour % 12 || 12}:${two(minute)} ${hour < 12 ? 'am' : 'pm'}`;
  };
  const day = (ms: number): string => {
    const { weekday, day: date, month } = figures(ms);
    return `${DAYS[weekday] ?? ''} ${date} ${MONTHS[month - 1] ?? ''}`;
  };
  return {
    clock: remembering(clock),
    hour: (ms) => figures(ms).hour,
    day: remembering(day),
    dayAndYear: remembering((ms) => `${day(ms)} ${figures(ms).year}`),
    dayAndClock: remembering((ms) => `${day(ms)}, ${clock(ms)}`),
    isoDay: (ms) => {
      const { year, month, day: date } = figures(ms);
      return `${year}-${two(month)}-${two(date)}`;
    },
  };
}

/** One for each zone and face, whoever asks. */
const known = new Map<string, KitchenTime>();

/**
 * Times of day and dates in the kitchen's own zone and as it reads its clock, so that server and browser write the same and a bake reads
 * the same from another country.
 */
export function useKitchenTime(): KitchenTime {
  const { timeZone, clockFace } = usePreferences().ways;
  const key = `${clockFace} ${timeZone}`;
  const there = known.get(key);
  if (there) return there;
  const made = kitchenTime(timeZone, clockFace);
  known.set(key, made);
  return made;
}
