import { handsOf, type Life } from './life';

const EVERY = [1, 2, 3, 4, 5, 6, 7];
const life = (more: Partial<Life> = {}): Life => ({
  zone: 'Europe/Lisbon',
  people: 1,
  away: [],
  preferred: [],
  otherHours: false,
  ...more,
});
const hands = (given: Life, from: string, to: string) => {
  const found = handsOf(given, Date.parse(from), Date.parse(to));
  if (!found.ok) throw new Error(`${found.problem.code} ${found.problem.path}`);
  return found.value.map(({ fromMs, toMs, people, unwanted }) =>
    [new Date(fromMs).toISOString().slice(5, 16), new Date(toMs).toISOString().slice(5, 16), people, ...(unwanted ? ['unwanted'] : [])].join(' '),
  );
}; // prettier-ignore

test('sleep over midnight and work on weekdays leave the mornings and the evenings', () => {
  const away = [
    { days: EVERY, from: '22:30', to: '06:00' },
    { days: [1, 2, 3, 4, 5], from: '09:00', to: '17:00' },
  ];
  // a Friday and a Saturday in winter, where Lisbon's clock is that of the stars
  expect(hands(life({ away }), '2026-11-27T00:00Z', '2026-11-29T00:00Z')).toEqual([
    '11-27T06:00 11-27T09:00 1',
    '11-27T17:00 11-27T22:30 1',
    '11-28T06:00 11-28T22:30 1',
  ]);
});

test('of two who share a kitchen one may be away', () => {
  const away = [
    { days: [6], from: '08:00', to: '12:00', people: 1 },
    { days: [6], from: '10:00', to: '11:00' },
  ];
  expect(hands(life({ people: 2, away }), '2026-11-28T07:00Z', '2026-11-28T13:00Z')).toEqual([
    '11-28T07:00 11-28T08:00 2',
    '11-28T08:00 11-28T10:00 1',
    '11-28T11:00 11-28T12:00 1',
    '11-28T12:00 11-28T13:00 2',
  ]);
});

test('other hours than one likes are used only where one says so, and are marked', () => {
  const preferred = [{ days: EVERY, from: '09:00', to: '20:00' }];
  const from = '2026-11-28T06:00Z';
  const to = '2026-11-28T22:00Z';
  expect(hands(life({ preferred }), from, to)).toEqual(['11-28T09:00 11-28T20:00 1']);
  expect(hands(life({ preferred, otherHours: true }), from, to)).toEqual([
    '11-28T06:00 11-28T09:00 1 unwanted',
    '11-28T09:00 11-28T20:00 1',
    '11-28T20:00 11-28T22:00 1 unwanted',
  ]);
});

test('a night in which the clock is put forward is an hour shorter, one in which it is put back an hour longer', () => {
  const away = [{ days: EVERY, from: '23:00', to: '07:00' }];
  const hours = (zone: string, night: string) => {
    const start = Date.parse(`${night}T12:00Z`);
    const found = handsOf(life({ zone, away }), start, start + 36 * 3_600_000);
    if (!found.ok) throw new Error();
    return (found.value[1]!.fromMs - found.value[0]!.toMs) / 3_600_000;
  };
  expect(hours('Europe/Berlin', '2026-03-28')).toBe(7);
  expect(hours('Europe/Berlin', '2026-10-24')).toBe(9);
  expect(hours('Europe/Berlin', '2026-11-28')).toBe(8);
  // where they change on another day, and where they never do
  expect(hours('America/Chicago', '2026-10-31')).toBe(9);
  expect(hours('Asia/Kolkata', '2026-10-24')).toBe(8);
});

test.each<[string, Partial<Life>, string, string]>([
  ['a zone nobody lives in', { zone: 'Moon/Sea' }, 'notAllowed', 'zone'],
  ['nobody', { people: 0 }, 'notAllowed', 'people'],
  ['an eighth day', { away: [{ days: [8], from: '08:00', to: '09:00' }] }, 'notAllowed', 'away.0.days'],
  ['a half hour of the clock', { preferred: [{ days: [1], from: '8', to: '09:00' }] }, 'notADuration', 'preferred.0.from'],
  ['an hour the clock has not', { away: [{ days: [1], from: '08:00', to: '25:00' }] }, 'notADuration', 'away.0.to'],
  ['no time at all', { away: [{ days: [1], from: '08:00', to: '08:00' }] }, 'rangeReversed', 'away.0.to'],
])('%s is refused at its field', (_, given, code, path) => {
  const found = handsOf(life(given), 0, 1);
  expect(found.ok ? null : [found.problem.code, found.problem.path]).toEqual([code, path]);
}); // prettier-ignore
