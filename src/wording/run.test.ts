import { honestRange, honestTime } from './run';

test('no false minutes: the longer, the rounder', () => {
  expect([45, 100, 11.4 * 60, 27.2 * 60, 63 * 60, 214 * 60].map(honestTime)).toEqual([
    '1 min',
    '1.5 min',
    '11 min',
    '28 min',
    '1 h 5',
    '3 h 30',
  ]);
  expect(honestTime(7200)).toBe('2 h');
});

test('ranges read as a baker would say them, open where some draws never come', () => {
  expect(honestRange(11 * 60, 13 * 60)).toBe('11–13 min');
  expect(honestRange(47 * 60, 61 * 60)).toBe('45–60 min');
  expect(honestRange(50 * 60, 130 * 60)).toBe('50 min – 2 h 10');
  expect(honestRange(185 * 60, 246 * 60)).toBe('3 h 10 – 4 h 10');
  expect(honestRange(3 * 3600, 4 * 3600)).toBe('3–4 h');
  expect(honestRange(60 * 60, 60 * 60 + 20)).toBe('60 min');
  expect(honestRange(3600, null)).toBe('1 h or more');
  expect(honestRange(null, null)).toBe('not in this time');
});
