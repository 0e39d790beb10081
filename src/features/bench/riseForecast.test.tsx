import { screen } from '@testing-library/react';
import { newStep } from '@/core/method';
import type { RiseNow } from '@/core/run';
import { show } from '../testKitchen';
import { againS, RiseForecast } from './RiseForecast';

const MIN = 60_000;
const T0 = Date.UTC(2026, 5, 1, 12);
const at = (min: number): number => T0 + min * MIN;
const flat = (...values: number[]) => values;
const rise = (more: Partial<RiseNow> = {}): RiseNow => ({
  atMs: [at(0), at(30), at(60), at(90)],
  grown: flat(0, 14, 30, 38),
  low: flat(0, 9, 22, 30),
  high: flat(0, 19, 37, 45),
  doughC: flat(26, 26, 27, 27),
  jar: flat(5, 20, 40, 50),
  wantedPercent: 31,
  ready: { value: at(62), low: at(48), high: at(81), chance: 1 },
  topPercent: { value: 40, low: 33, high: 47 },
  nearTopMs: at(80),
  past: { value: null, low: null, high: null, chance: 0 },
  marks: 0,
  movedS: null,
  ...more,
});
const told = (of: RiseNow, min: number, endsMs: number | null = null): string => {
  const { unmount } = show(<RiseForecast rise={of} now={at(min)} endsMs={endsMs} />);
  const text = screen.getByTestId('rise-forecast').textContent ?? '';
  unmount();
  return text;
};

test('a span, rounded as it is known; how far it should be by now, in the dough and in the jar', () => {
  const text = told(rise(), 30);
  expect(text).toContain('ready 12:50 – 13:20');
  expect(text).toContain('most likely 13:00, at +31 %');
  expect(text).toContain('By now about +14 % (9 to 19), in a jar +20 %.');
  expect(text).toContain('The most is about +40 %. Mark the rise');
  // what is past of the span is no time to come
  expect(told(rise(), 55)).toContain('ready 12:55 – 13:20');
  expect(told(rise({ ready: { value: at(62), low: at(48), high: null, chance: 0.8 } }), 30)).toContain('ready from 12:50');
}); // prettier-ignore

test('a mark says by how much it moved; a minute is not told', () => {
  expect(told(rise({ marks: 1, movedS: 740 }), 30)).toContain('By your mark 12 min later.');
  expect(told(rise({ marks: 1, movedS: -300 }), 30)).toContain('By your mark 5 min earlier.');
  expect(told(rise({ marks: 1, movedS: 60 }), 30)).not.toContain('By your mark');
});

test('what it cannot reach, what is there, and what sinks are said as what to do', () => {
  const never = rise({ wantedPercent: 100, ready: { value: null, low: null, high: null, chance: 0 } });
  expect(told(never, 30)).toContain('It will not reach doubledThe most is about +40 %. Go on at 13:20.');
  expect(told(never, 85)).toContain('Go on now.');
  // the middle stops short, some days do not
  expect(told(rise({ wantedPercent: 44, ready: { value: null, low: at(70), high: null, chance: 0.3 } }), 30)).toContain('It may not quite reach +44 %'); // prettier-ignore
  const sinks = rise({ past: { value: at(120), low: at(100), high: null, chance: 0.7 } });
  expect(told(sinks, 70)).toContain('It should be readyIt keeps until about 14:00.');
  expect(told(sinks, 121)).toContain('By now it may sink: go on with it.');
  expect(told(rise({ topPercent: { value: 1, low: 0, high: 3 } }), 30)).toBe('It hardly rises before the oven: go by its time.'); // prettier-ignore
  // of a bulk nobody asked a height of: how far at its time
  expect(told(rise({ ready: null, wantedPercent: null }), 30, at(60))).toContain('At its time about +30 %.');
});

test('it is looked at again when it is ready, where that is known', () => {
  const proof = { ...newStep('proof', 'p'), minS: 3600 };
  expect(againS(proof, rise(), at(40))).toBe(22 * 60);
  expect(againS(proof, rise(), at(61))).toBe(480);
  expect(againS(proof, null, at(40))).toBe(480);
});
