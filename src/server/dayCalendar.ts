import icalGenerator, { ICalAlarmType } from 'ical-generator';
import { agendaOf, type DayCallOut } from '@/core/day/agenda';
import type { DayDocument } from '@/core/day/dayDocument';
import type { FeedDue } from '@/core/starter/feedsDue';

interface CalendarWords {
  readonly name: string;
  /** What is to be done, for whom; null: nobody has to be called for it. */
  readonly say: (call: DayCallOut) => string | null;
}

/**
 * A day as an iCalendar file (RFC 5545): everything that asks for somebody, with an alarm when it does. Times are in UTC, so that no table of zones is
 * needed to ring at the right moment.
 */
export function dayCalendar(day: DayDocument, feeds: readonly FeedDue[], kitchenId: string, nowMs: number, { name, say }: CalendarWords): string {
  const calendar = icalGenerator({ name, prodId: { company: 'Honest Crumb', product: 'The day', language: 'EN' } });
  for (const call of agendaOf(day, feeds)) {
    const text = say(call);
    if (text === null || (call.kind === 'block' && (call.byItself || call.state === 'done'))) continue;
    const start = new Date(call.atMs);
    const end = new Date(call.kind === 'block' || call.kind === 'clean' ? Math.max(call.kind === 'block' ? call.untilMs : call.clean.untilMs, call.atMs + 300_000) : call.atMs + 300_000);
    const what = call.kind === 'light' ? call.ovenId : call.kind === 'keep' ? call.due.starterId : call.kind === 'clean' ? `${call.clean.beforeId ?? 'wheat'}-${new Date(call.atMs).toISOString().slice(0, 10)}` : `${call.batchId}-${'blockId' in call ? call.blockId : ''}`;
    const event = calendar.createEvent({
      // the same call has the same name however often the file is taken: a calendar moves it, and does not double it
      id: `${kitchenId}-${call.kind}-${what}@honest-crumb.invalid`,
      start, end, summary: text, stamp: new Date(nowMs),
    });
    event.createAlarm({ type: ICalAlarmType.display, triggerBefore: 0, description: text });
  }
  return calendar.toString();
} // prettier-ignore
