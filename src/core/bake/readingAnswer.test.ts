import { newStep } from '../method/step';
import type { Reading } from './bakeState';
import { doneC, likelyReadings, lookAgainS, readingAnswer, type ReadingAnswer } from './readingAnswer';

const AT_SEA = { altitudeM: 0, isMixed: false };
const read = (of: Reading['of'], tempC: number, atMin = 60): Reading => ({
  of,
  tempC,
  stepId: 's',
  atMs: 60_000 * atMin,
});
const step = (tempC: number | null, core?: number) => ({
  ...newStep('bake', 's'),
  tempC,
  ...(core !== undefined && { cue: { kind: 'core' as const, tempC: core } }),
});
const of = (reading: Reading, wanted = step(null), earlier: Reading[] = [], around = AT_SEA): ReadingAnswer =>
  readingAnswer(reading, wanted, earlier, around);

test('water is told while it can still cool', () => {
  expect(of(read('water', 41))).toEqual({ kind: 'fine' });
  expect(of(read('water', 48))).toEqual({ kind: 'hotWater', kills: false, downToC: 40 });
  expect(of(read('water', 60))).toEqual({ kind: 'hotWater', kills: true, downToC: 40 });
  expect(of(read('water', 60), step(null), [], { ...AT_SEA, isMixed: true })).toEqual({ kind: 'fine' });
});

test('a dough that is colder rises more slowly, by the model; oil and oven by how far they are off', () => {
  expect(of(read('dough', 27), step(26))).toEqual({ kind: 'fine' });
  const cold = of(read('dough', 21), step(27));
  if (cold.kind !== 'dough') throw new Error(cold.kind);
  expect(cold.byC).toBe(-6);
  // a third slower to half as fast
  expect(cold.rate).toBeGreaterThan(0.45);
  expect(cold.rate).toBeLessThan(0.7);
  expect(of(read('oil', 151), step(165))).toEqual({ kind: 'heat', of: 'oil', byC: -14, wantedC: 165 });
  expect(of(read('oven', 225), step(230))).toEqual({ kind: 'fine' });
  expect(of(read('room', 12))).toEqual({ kind: 'fine' });
});

test('a core that is short: when to look again by how fast it rose, else as is usual; lower on a mountain', () => {
  expect(doneC(step(200), 0)).toBe(97);
  expect(doneC(step(200), 1500)).toBe(92);
  expect(doneC(step(200, 94), 0)).toBe(94);
  expect(of(read('core', 96.8), step(200))).toEqual({ kind: 'fine' });
  // five degrees at 45 s each
  expect(of(read('core', 92), step(200))).toEqual({
    kind: 'core',
    shortC: 5,
    targetC: 97,
    againS: 240,
    byRate: false,
  });
  // two degrees a minute before, five are missing: two and a half minutes, a fifth more as it slows
  expect(of(read('core', 92, 60), step(200), [read('core', 82, 55), read('oven', 200, 58)])).toMatchObject({
    againS: 180,
    byRate: true,
  });
  // it stands still: the oven has gone cold, and no rate tells anything
  expect(of(read('core', 92, 60), step(200), [read('core', 92, 50)])).toMatchObject({ byRate: false });
  expect(of(read('core', 30), step(200))).toMatchObject({ againS: 1800 });
});

test('not yet: looked at again after an eighth of a rise, a tenth of a bake', () => {
  expect(lookAgainS({ kind: 'proof', minS: 3600 })).toBe(480);
  expect(lookAgainS({ kind: 'bake', minS: 3000 })).toBe(300);
  expect(lookAgainS({ kind: 'bake', minS: 60 })).toBe(180);
  expect(lookAgainS({ kind: 'chill', minS: 40_000 })).toBe(1800);
  expect(likelyReadings({ kind: 'fry' })[0]).toBe('oil');
});
