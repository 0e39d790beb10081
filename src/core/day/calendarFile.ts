import { TZDate } from '@date-fns/tz';
import ICAL from 'ical.js';
import { ok, refuse, type Result } from '../result';
import type { LifeDocument } from './lifeDocument';

/** A file longer than this is no calendar of a person. */
const LONGEST = 5_000_000;
/** So often is asked when something is again, in all of a file: what repeats by the second ends, too. */
const MOST_STEPS = 50_000;
/** Of one that repeats: more than a year of days is no help to a day. */
const MOST_TIMES = 400;

/**
 * Times off out of an iCalendar file: what is in it between two moments, repeated as it says, in its own zones; whole days and what is marked as free are
 * left out.
 *
 * @param zone of times without one
 * @returns `wrongFormat` where it is no such file, `tooLong`
 */
export function timesOff(text: string, zone: string, fromMs: number, toMs: number): Result<LifeDocument['once']> {
  if (text.length > LONGEST) return refuse('tooLong', '', { max: LONGEST });
  let calendar: ICAL.Component;
  try {
    calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  } catch {
    return refuse('wrongFormat');
  }
  if (calendar.name !== 'vcalendar') return refuse('wrongFormat');
  for (const each of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(each);
  const found: LifeDocument['once'] = [];
  let left = MOST_STEPS;
  const put = (name: string, start: ICAL.Time, end: ICAL.Time) => {
    const [startMs, endMs] = [momentOf(start, zone), momentOf(end, zone)];
    if (endMs > startMs && endMs > fromMs && startMs < toMs) found.push({ name: name.slice(0, 80), fromMs: startMs, toMs: endMs });
  };
  try {
    for (const component of calendar.getAllSubcomponents('vevent')) {
      const event = new ICAL.Event(component);
      const free = component.getFirstPropertyValue('transp') === 'TRANSPARENT' || component.getFirstPropertyValue('status') === 'CANCELLED';
      if (free || event.startDate.isDate || event.isRecurrenceException()) continue;
      const name = (event.summary ?? '').replace(/\s+/g, ' ').trim();
      if (!event.isRecurring()) {
        put(name, event.startDate, event.endDate);
        continue;
      }
      const times = event.iterator();
      for (let next = times.next(); next && left > 0; next = times.next(), left -= 1) {
        if (momentOf(next, zone) > toMs) break;
        const { startDate, endDate } = event.getOccurrenceDetails(next);
        put(name, startDate, endDate);
      }
    }
  } catch {
    return refuse('wrongFormat');
  }
  found.sort((a, b) => a.fromMs - b.fromMs);
  return ok(found.slice(0, MOST_TIMES));
} // prettier-ignore

/** A time that floats is by the clock of the kitchen. */
function momentOf(time: ICAL.Time, zone: string): number {
  if (time.zone === ICAL.Timezone.localTimezone) return wallOf(time, zone);
  return time.toUnixTime() * 1000;
}

const wallOf = ({ year, month, day, hour, minute, second }: ICAL.Time, zone: string): number =>
  new TZDate(year, month - 1, day, hour, minute, second, zone).getTime();
