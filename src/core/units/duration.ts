import { ok, refuse, type Result } from '../result';
import { parseDecimal } from './decimal';

const SECONDS: Readonly<Record<string, number>> = {
  s: 1,
  sec: 1,
  secs: 1,
  second: 1,
  seconds: 1,
  m: 60,
  min: 60,
  mins: 60,
  minute: 60,
  minutes: 60,
  h: 3600,
  hr: 3600,
  hrs: 3600,
  hour: 3600,
  hours: 3600,
  d: 86_400,
  day: 86_400,
  days: 86_400,
};

/**
 * Reads a length of time: "45" (minutes), "45 min", "90 s", "1 h 15", "1h15m", "12 hours", "1.5 h", "2:30"
 * (hours:minutes). A number after a named unit without one of its own is in the next smaller unit.
 *
 * "1 h 15" and "75 min" are 4,500 s.
 * @returns whole seconds
 */
export function parseDurationS(text: string): Result<number> {
  const input = text.trim().toLowerCase();
  if (input === '') return refuse('required');
  const clock = /^(\d{1,3}):([0-5]\d)$/.exec(input);
  if (clock) return ok(Number(clock[1]) * 3600 + Number(clock[2]) * 60);
  const parts = [...input.matchAll(/([+-]?[\d.,]+)\s*([a-z]*)\s*/g)];
  if (parts.length === 0 || parts.length > 4 || parts.map((part) => part[0]).join('') !== input) {
    return refuse('notADuration');
  }
  let total = 0;
  let previousUnitS = Infinity;
  for (const [index, part] of parts.entries()) {
    const number = parseDecimal(part[1] ?? '');
    if (!number.ok) return refuse('notADuration');
    const unit = part[2] ?? '';
    const bareS =
      previousUnitS === 3600 ? 60 : previousUnitS === 86_400 ? 3600 : previousUnitS === 60 ? 1 : 60;
    const unitS =
      unit === ''
        ? parts.length === 1 || index > 0
          ? bareS
          : undefined
        : Object.hasOwn(SECONDS, unit)
          ? SECONDS[unit]
          : undefined;
    if (unitS === undefined || unitS >= previousUnitS) return refuse('notADuration');
    total += number.value * unitS;
    previousUnitS = unitS;
  }
  return ok(Math.round(total));
}

/** "45 min", "1 h 15 min", "90 s" below two minutes when it is not whole minutes, "2 d 4 h". */
export function formatDuration(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  if (whole < 120 && whole % 60 !== 0) return `${whole} s`;
  const days = whole >= 172_800 ? Math.floor(whole / 86_400) : 0;
  const hours = Math.floor((whole - days * 86_400) / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  const rest = whole % 60;
  const parts = [
    days > 0 ? `${days} d` : '',
    hours > 0 ? `${hours} h` : '',
    minutes > 0 ? `${minutes} min` : '',
    rest > 0 ? `${rest} s` : '',
  ].filter(Boolean);
  return parts.join(' ') || '0 min';
}

/** A range the way a baker reads it: "60 – 90 min", "1 h – 1 h 30 min", one value when both ends agree. */
export function formatDurationRange(minS: number, maxS: number | null): string {
  if (maxS === null || maxS === minS) return formatDuration(minS);
  if (minS % 60 === 0 && maxS % 60 === 0 && maxS < 7200 && minS < 7200) {
    return `${minS / 60} – ${maxS / 60} min`;
  }
  return `${formatDuration(minS)} – ${formatDuration(maxS)}`;
}

/** A running clock: "7:05", "1:07:05"; the sign is the caller's to show. */
export function formatClock(seconds: number): string {
  const whole = Math.floor(Math.abs(seconds));
  const two = (value: number) => String(value).padStart(2, '0');
  const hours = Math.floor(whole / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  return hours > 0 ? `${hours}:${two(minutes)}:${two(whole % 60)}` : `${minutes}:${two(whole % 60)}`;
}

export interface DurationRange {
  readonly minS: number;
  readonly maxS: number | null;
}

/**
 * Reads one time or a range: "45 min", "45-75 min", "60 – 90", "1 h to 1 h 30". Where only the end names a unit the start
 * shares it. A range with its ends the wrong way round is refused, not turned.
 */
export function parseDurationRangeS(text: string): Result<DurationRange> {
  const sides = text.trim().split(/\s*(?:[-\u2013\u2014]|\bto\b)\s*/i);
  if (sides.length > 2) return refuse('notADuration');
  const [first = '', last] = sides;
  if (last === undefined) {
    const single = parseDurationS(first);
    return single.ok ? ok({ minS: single.value, maxS: null }) : single;
  }
  const lone = /^[\d.,]+$/.test(first);
  // the start shares the first unit of the end: "1-1 h 30" begins at an hour, not at a minute
  const unit = /^[\d.,]+\s*([a-z]+)/i.exec(last)?.[1] ?? '';
  const from = parseDurationS(lone ? `${first} ${unit}` : first);
  const to = parseDurationS(last);
  if (!from.ok) return from;
  if (!to.ok) return to;
  if (to.value < from.value) return refuse('rangeReversed');
  return ok({ minS: from.value, maxS: to.value === from.value ? null : to.value });
}
