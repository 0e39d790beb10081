import { timesOff } from './calendarFile';
import { clockMs } from '../../../tests/kitchenDays';

const ics = (...events: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//made up//EN', ...events.flatMap((lines) => ['BEGIN:VEVENT', 'UID:x', 'DTSTAMP:20261101T000000Z', ...lines.trim().split(/\n\s*/), 'END:VEVENT']), 'END:VCALENDAR'].join('\r\n'); // prettier-ignore
const from = clockMs('00:00');
const off = (text: string, zone = 'Europe/Lisbon', days = 7) => {
  const found = timesOff(text, zone, from, from + days * 86_400_000);
  if (!found.ok) return found.problem.code;
  return found.value.map(({ name, fromMs, toMs }) => `${name} ${new Date(fromMs).toISOString().slice(5, 16)} ${new Date(toMs).toISOString().slice(11, 16)}`);
}; // prettier-ignore

test('single times, times by the week with one left out, times without a zone by the kitchen’s clock', () => {
  expect(
    off(ics(
      'SUMMARY:Dentist\nDTSTART:20261130T090000Z\nDTEND:20261130T100000Z',
      'SUMMARY:School run\nDTSTART:20261101T080000\nDTEND:20261101T084500\nRRULE:FREQ=WEEKLY;BYDAY=MO,TU\nEXDATE:20261201T080000',
      'SUMMARY:Long ago\nDTSTART:20250101T090000Z\nDTEND:20250101T100000Z',
      'SUMMARY:Holiday\nDTSTART;VALUE=DATE:20261130\nDTEND;VALUE=DATE:20261201',
      'SUMMARY:Only a note\nTRANSP:TRANSPARENT\nDTSTART:20261130T120000Z\nDTEND:20261130T130000Z',
    )),
  ).toEqual(['School run 11-30T08:00 08:45', 'Dentist 11-30T09:00 10:00']);
  expect(off(ics('SUMMARY:Call\nDTSTART:20261130T090000\nDTEND:20261130T093000'), 'Asia/Kathmandu')).toEqual(['Call 11-30T03:15 03:45']);
}); // prettier-ignore

test('a zone of its own is read where the file says what it is', () => {
  const zone = 'BEGIN:VTIMEZONE\r\nTZID:Far\r\nBEGIN:STANDARD\r\nDTSTART:19700101T000000\r\nTZOFFSETFROM:-0500\r\nTZOFFSETTO:-0500\r\nEND:STANDARD\r\nEND:VTIMEZONE';
  const text = ics('SUMMARY:Shift\nDTSTART;TZID=Far:20261130T090000\nDTEND;TZID=Far:20261130T100000').replace('BEGIN:VEVENT', `${zone}\r\nBEGIN:VEVENT`);
  expect(off(text)).toEqual(['Shift 11-30T14:00 15:00']);
}); // prettier-ignore

test('what is no calendar is refused, and one that never ends is read to its end', () => {
  expect(['', 'supper at seven', '{"a": 1}', 'BEGIN:VCARD\r\nEND:VCARD', 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT'].map((text) => off(text))).toEqual(
    Array(5).fill('wrongFormat'),
  );
  const every = off(ics('SUMMARY:Tick\nDTSTART:20261101T000000Z\nDTEND:20261101T000100Z\nRRULE:FREQ=MINUTELY'), 'UTC', 3650);
  expect(Array.isArray(every) && every.length).toBeLessThanOrEqual(400);
}); // prettier-ignore
