import { render } from '@testing-library/react';
import { usePreferences } from './PreferencesProvider';
import { useKitchenTime, type KitchenTime } from './time';

jest.mock('./PreferencesProvider', () => ({ usePreferences: jest.fn() }));

function timeIn(timeZone: string, clockFace: '12' | '24' = '24'): KitchenTime {
  (usePreferences as jest.Mock).mockReturnValue({ ways: { timeZone, clockFace } });
  let time: KitchenTime | undefined;
  function Probe() {
    time = useKitchenTime();
    return null;
  }
  render(<Probe />);
  return time!;
}

test('times and days are the kitchen’s own, over midnight, over a change of the clocks, at half an hour’s offset', () => {
  const at = Date.UTC(2026, 9, 25, 0, 30);
  expect(timeIn('Europe/Berlin').dayAndClock(at)).toBe('Sun 25 Oct, 02:30');
  // an hour later the clocks have gone back: the same time again
  expect(timeIn('Europe/Berlin').clock(at + 3_600_000)).toBe('02:30');
  expect(timeIn('America/Los_Angeles').dayAndYear(at)).toBe('Sat 24 Oct 2026');
  expect(timeIn('Asia/Kolkata').clock(at)).toBe('06:00');
  expect(timeIn('UTC').day(at)).toBe('Sun 25 Oct');
});

test('a clock of twice twelve says which twelve, at midnight and at noon too', () => {
  const { clock, dayAndClock } = timeIn('UTC', '12');
  const hour = 3_600_000;
  expect([0, 1, 11, 12, 13, 23].map((at) => clock(at * hour))).toEqual([
    '12:00 am', '1:00 am', '11:00 am', '12:00 pm', '1:00 pm', '11:00 pm',
  ]); // prettier-ignore
  expect(dayAndClock(45 * 60_000)).toBe('Thu 1 Jan, 12:45 am');
});

test('many different times are each written rightly, however many came before', () => {
  const { clock } = timeIn('UTC');
  for (let minute = 0; minute < 3000; minute += 1) clock(minute * 60_000);
  expect([clock(0), clock(90 * 60_000), clock(2999 * 60_000)]).toEqual(['00:00', '01:30', '01:59']);
});
