import { agendaOf } from './agenda';
import { dayClock } from './dayClock';
import type { DayDocument } from './dayDocument';
import type { FeedDue } from '../starter/feedsDue';
import { clockMs, clockOf, dayBatch } from '../../../tests/kitchenDays';

const block = (from: string, to: string, kind: DayDocument['batches'][number]['at'][string]['kind'], more = {}) => ({
  startMs: clockMs(from), endMs: clockMs(to), ovenId: null, kind, title: '', setC: null, handsOn: false, looksMs: [], ...more,
}); // prettier-ignore
const rolls = dayBatch('rolls', 'supper-rolls', null, {
  at: {
    feed: block('09:00', '12:00', 'feed', { handsOn: true }),
    mix: block('12:00', '12:15', 'mix', { handsOn: true }),
    bulk: block('12:15', '13:15', 'bulk', { looksMs: [clockMs('13:00')] }),
    first: block('14:00', '14:20', 'bake', { ovenId: 'deck', setC: 220, handsOn: true }),
    second: block('14:25', '14:45', 'bake', { ovenId: 'deck', setC: 220, handsOn: true }),
    cool: block('14:20', '15:20', 'cool'),
  },
});
const day: DayDocument = {
  batches: [rolls],
  lit: [{ ovenId: 'deck', atMs: clockMs('13:30'), setC: 220, plate: null }],
};
const span = (bars: readonly { fromMs: number; toMs: number }[]) => bars.map(({ fromMs, toMs }) => `${clockOf(fromMs)}-${clockOf(toMs)}`); // prettier-ignore

test('the hours around now: what lies over one another in rows, an oven heating and full, when somebody is asked for', () => {
  const clock = dayClock(agendaOf(day), clockMs('12:20'))!;
  // what has ended before is not drawn
  expect(span([clock])).toEqual(['11:00-18:00']);
  expect(clock.lanes.map(({ batchId, readyMs }) => [batchId, clockOf(readyMs)])).toEqual([['rolls', '15:20']]);
  expect(clock.lanes[0]!.rows.map(span)).toEqual([['09:00-12:00', '12:00-12:15', '12:15-13:15', '14:00-14:20', '14:20-15:20'], ['14:25-14:45']]);
  expect(clock.lanes[0]!.rows[0]!.map(({ look }) => look)).toEqual(['waits', 'hands', 'waits', 'heat', 'waits']);
  const [oven] = clock.ovens;
  expect([span(oven!.bars), oven!.bars.map(({ bakes }) => bakes)]).toEqual([['13:30-14:00', '14:00-14:20', '14:25-14:45'], [false, true, true]]);
  // mixed from end to end, else for a moment: look, light, in and out; the feed was before
  expect(span(clock.hands).toSorted()).toEqual(['12:00-12:15', '13:00-13:05', '13:30-13:35', '14:00-14:05', '14:20-14:25', '14:25-14:30', '14:45-14:50']);
}); // prettier-ignore

test('a starter that is fed late at night does not stretch the day; alone it is seen', () => {
  const atMs = clockMs('23:00');
  const due: FeedDue = { starterId: 's', name: 'Mildred', atMs, nobody: false, feed: { fromMs: atMs, dueMs: atMs, latestMs: atMs, keepG: 20, flourG: 40, waterG: 40, discardG: 0, why: 'usual' } };
  const fed = (document: DayDocument) => dayClock(agendaOf(document, [due]), clockMs('12:20'))!;
  expect(clockOf(fed(day).toMs)).toBe('18:00');
  expect(fed({ batches: [], lit: [] }).toMs).toBeGreaterThan(due.atMs);
}); // prettier-ignore

test('what runs and has not ended reaches as far as now', () => {
  const running: DayDocument = { ...day, batches: [{ ...rolls, progress: { bulk: { startMs: clockMs('12:15'), endMs: null, lastsS: null } } }] };
  const bulk = dayClock(agendaOf(running), clockMs('13:40'))!.lanes[0]!.rows.flat().find(({ step }) => step === 'bulk')!;
  expect([clockOf(bulk.toMs), bulk.state]).toEqual(['13:40', 'running']);
}); // prettier-ignore

test('what begins tomorrow is seen from today; what is over is not', () => {
  const early = dayClock(agendaOf(day), clockMs('12:00', '2026-11-27'))!;
  expect(early.toMs - clockMs('09:00')).toBeGreaterThanOrEqual(2 * 3_600_000);
  expect(early.lanes).toHaveLength(1);
  expect(dayClock(agendaOf(day), clockMs('15:21'))).toBeNull();
  expect(dayClock([], clockMs('12:00'))).toBeNull();
});
