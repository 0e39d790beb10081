'use client';
import { cx } from '@/ui/cx';
import { DAYS } from '@/wording/calendar';
import { usePreferences } from '../preferences/PreferencesProvider';

const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

interface DayTogglesProps {
  /** What the days are of. */
  readonly label: string;
  /** A day's name among others of its kind. */
  readonly nameOf: (day: string) => string;
  readonly days: readonly number[];
  /** Never of no day. */
  readonly onChange: (days: number[]) => void;
}

/** Days of the week, 1 Monday to 7 Sunday, in the order in which the kitchen's week goes. */
export function DayToggles({ label, nameOf, days, onChange }: DayTogglesProps) {
  const { weekStart } = usePreferences().ways;
  const order =
    weekStart === 'sunday'
      ? [7, 1, 2, 3, 4, 5, 6]
      : weekStart === 'saturday'
        ? [6, 7, 1, 2, 3, 4, 5]
        : EVERY_DAY;
  const toggle = (day: number) => {
    const next = days.includes(day)
      ? days.filter((each) => each !== day)
      : [...days, day].sort((a, b) => a - b);
    if (next.length > 0) onChange(next);
  };
  return (
    <span className="flex gap-1" role="group" aria-label={label}>
      {order.map((day) => {
        const name = DAYS[day % 7] ?? '';
        const on = days.includes(day);
        return (
          <button
            key={day}
            type="button"
            aria-pressed={on}
            aria-label={nameOf(name)}
            onClick={() => toggle(day)}
            className={cx(
              'size-9 rounded border text-xs font-semibold',
              on ? 'border-ink bg-strong text-strong-ink' : 'border-edge bg-surface text-soft',
            )}
          >
            {name.slice(0, 2)}
          </button>
        );
      })}
    </span>
  );
}
