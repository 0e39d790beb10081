import ICAL from 'ical.js';
import { EMPTY_DAY, type DayDocument } from '@/core/day/dayDocument';
import type { FeedDue } from '@/core/starter/feedsDue';
import { dayCalendar } from './dayCalendar';

const at = (clock: string) => Date.parse(`2026-11-28T${clock}:00Z`);
const block = (from: string, to: string, kind: 'mix' | 'proof' | 'bake', handsOn: boolean) => ({
  startMs: at(from), endMs: at(to), ovenId: kind === 'bake' ? 'range' : null, kind, title: '', setC: null, handsOn, looksMs: kind === 'proof' ? [at('17:40')] : [],
}); // prettier-ignore
const DAY: DayDocument = {
  lit: [{ ovenId: 'range', atMs: at('17:20'), setC: 205, plate: null }],
  batches: [
    {
      id: 'rolls', formulaId: '6a1f3c0e-7a55-4b8e-9d64-0f4f3c5f1a01', revision: 1, name: 'Rolls; and, more', levers: [], ovenIds: [], variantId: '', pins: {},
      progress: {}, bakeId: null, ready: null, batch: { mode: 'factor', factor: 1, pieceMassG: 80, bowlLossPercent: 0 },
      at: { s1: block('16:00', '16:05', 'mix', true), s2: block('16:30', '17:50', 'proof', false), s3: block('17:50', '18:15', 'bake', true) },
    },
  ],
}; // prettier-ignore

const feed = {
  fromMs: at('20:00'),
  dueMs: at('21:00'),
  latestMs: at('23:00'),
  keepG: 25,
  flourG: 50,
  waterG: 50,
  discardG: 50,
  why: 'usual' as const,
};
const FEEDS: readonly FeedDue[] = [
  { starterId: 'mildred', name: 'Mildred', atMs: at('21:00'), nobody: false, feed },
];

/** Read back by another parser than the one that wrote it. */
function readBack(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  return calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    const [alarm] = component.getAllSubcomponents('valarm');
    return {
      told: `${event.startDate.toJSDate().toISOString().slice(11, 16)}-${event.endDate.toJSDate().toISOString().slice(11, 16)} ${event.summary}`,
      uid: event.uid,
      alarmS: (alarm?.getFirstPropertyValue('trigger') as ICAL.Duration | null)?.toSeconds() ?? null,
    };
  });
}

test('the day as a calendar file: what asks for somebody, with an alarm when it does, read back by another parser', () => {
  const say = (call: { kind: string; step?: string }) => `${call.kind} ${call.step ?? ''}`.trim();
  const events = readBack(dayCalendar(DAY, FEEDS, 'k1', at('12:00'), { name: 'Ours', say }));
  expect(events.map(({ told }) => told)).toEqual([
    '16:00-16:05 block mix',
    '17:20-17:25 light',
    '17:40-17:45 look proof',
    '17:50-18:15 block bake',
    '18:15-18:20 out',
    '18:15-18:20 ready',
    '21:00-21:05 keep',
  ]);
  // the alarm rings as it begins
  expect(events.map(({ alarmS }) => Math.abs(alarmS ?? -1))).toEqual([0, 0, 0, 0, 0, 0, 0]);
  // the same call is the same event, however often the file is taken
  const again = readBack(dayCalendar({ ...DAY, lit: [{ ...DAY.lit[0]!, atMs: at('17:30') }] }, FEEDS, 'k1', at('13:00'), { name: 'Ours', say }));
  expect([...again.map(({ uid }) => uid)].sort()).toEqual([...events.map(({ uid }) => uid)].sort());
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(7);
  expect(readBack(dayCalendar(EMPTY_DAY, [], 'k1', 0, { name: 'Ours', say }))).toEqual([]);
}); // prettier-ignore
