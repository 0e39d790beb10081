import { EMPTY_DAY, type DayDocument } from './dayDocument';
import {
  dayMs,
  editDay,
  FURTHEST_MS,
  usualTimes,
  wallField,
  wallFieldMs,
  wallMs,
  type DayEdit,
} from './dayEdit';
import { DAY_LIMITS } from './dayLimits';
import { clockMs } from '../../../tests/kitchenDays';

const now = clockMs('12:00');
const batch = (id: string, ready: { fromMs: number; toMs: number } | null = null): DayEdit => ({
  type: 'add',
  batch: {
    id, formulaId: '6a1f3c0e-7a55-4b8e-9d64-0f4f3c5f1a01', revision: 1, name: id, ready,
    batch: { mode: 'factor', factor: 1, pieceMassG: 80, bowlLossPercent: 0 },
  },
}); // prettier-ignore
const after = (day: DayDocument, ...edits: DayEdit[]): DayDocument =>
  edits.reduce((at, edit) => {
    const made = editDay(at, edit, now);
    if (!made.ok) throw new Error(made.problem.code);
    return made.value;
  }, day);
const refused = (day: DayDocument, edit: DayEdit) => {
  const made = editDay(day, edit, now);
  return made.ok ? null : [made.problem.code, made.problem.path];
};
const at = (ms: number) => ({ fromMs: ms, toMs: ms });
const PLACED = {
  s1: {
    startMs: now,
    endMs: now + 600_000,
    ovenId: null,
    kind: 'mix' as const,
    title: '',
    setC: null,
    handsOn: true,
    looksMs: [],
  },
};
const withPlace = (day: DayDocument): DayDocument => ({
  ...day,
  batches: day.batches.map((each) => ({ ...each, at: PLACED })),
});

test('what is wanted otherwise finds its place anew; what has begun stays where it is', () => {
  const day = withPlace(after(EMPTY_DAY, batch('a'), batch('b')));
  const asked = after(day, { type: 'ready', batchId: 'a', ready: at(now + 3_600_000) }, { type: 'levers', batchId: 'a', levers: ['cold'] });
  expect(asked.batches.map(({ id, at: places, levers }) => [id, Object.keys(places), levers])).toEqual([['a', [], ['cold']], ['b', ['s1'], []]]);
  const begun = after(day, { type: 'begun', batchId: 'a', blockId: 's1', atMs: now }, { type: 'ready', batchId: 'a', ready: at(now + 7_200_000) });
  expect(begun.batches[0]).toMatchObject({ at: PLACED, progress: { s1: { startMs: now, endMs: null } } });
  // done where nobody said that it had begun: as planned
  const done = after(day, { type: 'over', batchId: 'b', blockId: 's1', atMs: now + 900_000 });
  expect(done.batches[1]!.progress).toEqual({ s1: { startMs: now, endMs: now + 900_000, lastsS: null } });
  expect(after(done, { type: 'takeBack', batchId: 'b', blockId: 's1' }).batches[1]!.progress).toEqual({});
  // a pin has no more to say once it has begun
  const pinned = after(day, { type: 'pin', batchId: 'a', blockId: 's1', startMs: now + 300_000 });
  expect(pinned.batches[0]).toMatchObject({ pins: { s1: now + 300_000 }, at: {} });
  expect(after(pinned, { type: 'begun', batchId: 'a', blockId: 's1', atMs: now }).batches[0]!.pins).toEqual({});
  expect(after(pinned, { type: 'unpin', batchId: 'a', blockId: 's1' }).batches[0]).toMatchObject({ pins: {}, at: {} });
  expect(after(day, { type: 'remove', batchId: 'a' }).batches.map(({ id }) => id)).toEqual(['b']);
}); // prettier-ignore

test('how much there is of something is told, told anew and left open again; more than there can be is refused', () => {
  const there = (ingredientId: string, massG: number | null): DayEdit => ({ type: 'have', ingredientId, massG });
  const day = after(EMPTY_DAY, there('rice', 500), there('millet', 0), there('rice', 240));
  expect(day.have).toEqual([{ ingredientId: 'millet', massG: 0 }, { ingredientId: 'rice', massG: 240 }]);
  expect(after(day, there('rice', null), there('millet', null))).toEqual(EMPTY_DAY);
  expect([refused(day, there('rice', 2_000_000)), refused(day, there('rice', -1)), refused(day, there('rice', Number.NaN))]).toEqual([['tooLarge', 'massG'], ['tooLarge', 'massG'], ['tooLarge', 'massG']]);
}); // prettier-ignore

test('an oven that is not hot is until then, or until somebody says that it is', () => {
  const cold = (ovenId: string, untilMs: number): DayEdit => ({ type: 'notHot', ovenId, untilMs, setC: 230, plate: 'stone' });
  const day = after(EMPTY_DAY, cold('range', now + 600_000), cold('deck', now + 900_000), cold('range', now + 1_200_000));
  expect(day.notHot).toEqual([{ ovenId: 'deck', untilMs: now + 900_000, setC: 230, plate: 'stone' }, { ovenId: 'range', untilMs: now + 1_200_000, setC: 230, plate: 'stone' }]);
  expect(after(day, { type: 'hot', ovenId: 'deck' }).notHot?.map(({ ovenId }) => ovenId)).toEqual(['range']);
  expect(after(EMPTY_DAY, cold('deck', now - 1), { type: 'hot', ovenId: 'other' })).toEqual(EMPTY_DAY);
}); // prettier-ignore

test.each<[string, DayEdit, string, string]>([
  ['a window before now', batch('x', at(now - 1)), 'tooSmall', 'ready'],
  ['a window the wrong way round', batch('x', { fromMs: now + 2, toMs: now + 1 }), 'rangeReversed', 'ready'],
  ['more than a week ahead', batch('x', at(now + FURTHEST_MS + 1)), 'tooLarge', 'ready'],
  ['another time before now', { type: 'ready', batchId: 'a', ready: at(now) }, 'tooSmall', 'ready'],
  ['a batch that is gone', { type: 'levers', batchId: 'nobody', levers: [] }, 'notAllowed', 'batchId'],
])('%s is refused at its field, and nothing is changed', (_, edit, code, path) => {
  const day = after(EMPTY_DAY, batch('a'));
  expect(refused(day, edit)).toEqual([code, path]);
  expect(day).toEqual(after(EMPTY_DAY, batch('a')));
});

test('a thirty-first batch is refused', () => {
  const full = after(EMPTY_DAY, ...Array.from({ length: DAY_LIMITS.most }, (_, index) => batch(`b${index}`)));
  expect(refused(full, batch('more'))).toEqual(['tooMany', 'batches']);
});

test('times by the clock on the wall, through the changes of the clock and far away', () => {
  // Lisbon puts its clock forward on the 29th of March 2026 at one, and back on the 25th of October at two
  const eve = Date.parse('2026-03-28T20:00:00Z');
  expect(wallMs('Europe/Lisbon', eve, 1, '08:00')).toBe(Date.parse('2026-03-29T07:00:00Z'));
  expect(wallMs('Europe/Lisbon', Date.parse('2026-10-24T20:00:00Z'), 1, '08:00')).toBe(Date.parse('2026-10-25T08:00:00Z'));
  expect(wallMs('Asia/Kathmandu', eve, 0, '07:30')).toBe(Date.parse('2026-03-29T01:45:00Z'));
  for (const zone of ['Europe/Lisbon', 'Asia/Kathmandu', 'America/St_Johns'])
    for (const ms of [eve, now, Date.parse('2026-07-01T23:55:00Z')]) expect(wallFieldMs(zone, wallField(zone, ms))).toBe(ms);
  expect(wallFieldMs('UTC', 'tomorrow')).toBeNull();
  expect(wallFieldMs('UTC', '')).toBeNull();
  // a day begins where its night ends, and the one the clock goes forward on has 23 hours
  expect([dayMs('Europe/Lisbon', '2026-03-29'), dayMs('Europe/Lisbon', '2026-03-29', 1)]).toEqual([Date.parse('2026-03-29T00:00:00Z'), Date.parse('2026-03-29T23:00:00Z')]);
  expect(dayMs('Asia/Kathmandu', '2026-12-31', 1)).toBe(Date.parse('2026-12-31T18:15:00Z'));
  for (const none of ['', '2026-02-31', '0002-01-01', '2026-13-01', 'today', '2026-11-28T00:00']) expect(dayMs('UTC', none)).toBeNull();
}); // prettier-ignore

test('what is usual is the next of each, never nearer than two hours', () => {
  const told = (clock: string) => usualTimes('Europe/Lisbon', clockMs(clock)).map(({ name, ms }) => [name, new Date(ms).toISOString().slice(5, 16)]);
  // a Saturday
  expect(told('12:00')).toEqual([['supper', '11-28T19:00'], ['morning', '11-29T08:00'], ['noon', '11-29T12:30'], ['market', '12-05T08:00']]);
  expect(told('17:30')[0]).toEqual(['supper', '11-29T19:00']);
  expect(told('05:00').at(-1)).toEqual(['market', '11-28T08:00']);
}); // prettier-ignore
