import { seededRandom } from '../numeric/seededRandom';
import { heardScale, isWeighed, NOTHING_YET, onItG, type OnScale } from './byScale';
import { joined, windowsOf, type ReadingWindow } from './readingWindow';
import { KITCHEN_SCALE, ProbeStandIn, ScaleStandIn } from './standIn';
import { judgeReadings, LATE_MS } from './telling';

const NOW = 1_800_000_000_000;
const one = (value: unknown, agoMs: unknown = 0, more: object = {}) => ({ value, agoMs, ...more });

test('of a telling each reading is judged by itself, and all of it is accounted for', () => {
  const readings = [
    one(412),
    one(412.5, 200, { state: 'moving' }),
    one(0, 0, { state: 'overload' }),
    // what is broken may show anything
    one(1e9, 0, { state: 'fault' }),
    one(1e9),
    one(-60_001),
    one(5, LATE_MS),
    one(5, LATE_MS + 1),
    one('412'), one(null), one(412, -1), one(412, 0.5), one(412, 0, { extra: 1 }), one(412, 0, { state: 'fine' }), 'x', null, [], { value: 3 },
  ]; // prettier-ignore
  const { taken, refused } = judgeReadings('scale', readings, NOW);
  expect(taken.map(({ value }) => value)).toEqual([412, 412.5, 0, 1e9, 5]);
  expect(taken.at(-1)!.atMs).toBe(NOW - LATE_MS);
  expect(refused).toEqual({ malformed: 10, impossible: 2, late: 1 });
  expect(taken.length + refused.malformed + refused.impossible + refused.late).toBe(readings.length);
  expect(judgeReadings('coreProbe', [one(221), one(97)], NOW).taken).toHaveLength(1);
});

test('ten seconds of readings: number, least, most, sum and the newest, whatever order they come in', () => {
  const taken = judgeReadings(
    'coreProbe',
    [one(90, 3000), one(96, 1000), one(93, 2000), one(0, 500, { state: 'fault' })],
    NOW + 9999,
  ).taken;
  const [window] = windowsOf(taken);
  expect(window).toEqual({
    startsAtMs: NOW,
    count: 3,
    least: 90,
    most: 96,
    total: 279,
    unsure: 1,
    last: { atMs: NOW + 9499, value: 0, state: 'fault' },
  });
  const random = seededRandom(5);
  const many = Array.from({ length: 200 }, () => ({
    atMs: NOW + Math.floor(random() * 60_000),
    value: Math.round(random() * 1000) / 10,
    state: 'steady' as const,
  }));
  const whole = windowsOf(many);
  expect(whole).toHaveLength(6);
  expect(whole.reduce((sum, { count }) => sum + count, 0)).toBe(200);
  // in three tellings, the last first
  const parts = [many.slice(120), many.slice(40, 120), many.slice(0, 40)].map(windowsOf);
  const byParts = whole.map(({ startsAtMs }) =>
    parts.flatMap((part) => part.filter((each) => each.startsAtMs === startsAtMs)).reduce(joined),
  );
  const round = (each: ReadingWindow) => ({ ...each, total: Math.round(each.total * 1e6) / 1e6 });
  expect(byParts.map(round)).toEqual(whole.map(round));
});

/** Plays a scale five times a second, as it tells it. */
function playScale(scale: ScaleStandIn, seconds: number, loadG: number, heard: (value: number, steady: boolean) => void) {
  for (let tick = 0; tick < seconds * 5; tick += 1) {
    const { value, state } = scale.advance(0.2, loadG);
    heard(value, state === 'steady');
  }
} // prettier-ignore

test('a line is weighed without the scale being touched: poured in two goes, the bowl never zeroed', () => {
  const scale = new ScaleStandIn(KITCHEN_SCALE, 3);
  let so: OnScale = NOTHING_YET;
  let weighed = false;
  let on: number | null = null;
  const aim = { toGoG: 250, toleranceG: 5 };
  const hear = (valueG: number, steady: boolean) => {
    so = heardScale(so, { valueG, steady }, 1);
    on = onItG(so, { valueG, steady });
    weighed ||= isWeighed(so, { valueG, steady }, aim);
  };
  playScale(scale, 3, 812, hear);
  expect([so.moved, weighed]).toEqual([false, false]);
  playScale(scale, 3, 812 + 130, hear);
  expect([so.moved, weighed, Math.round(on!)]).toEqual([true, false, expect.closeTo(130, -0.7)]);
  playScale(scale, 3, 812 + 251, hear);
  expect(weighed).toBe(true);
  // the bowl is lifted and put back: nothing is forgotten
  playScale(scale, 3, 0, hear);
  expect(on).toBeLessThan(-800);
  playScale(scale, 3, 812 + 251, hear);
  expect(Math.abs(on! - 251)).toBeLessThanOrEqual(2);
});

test('a scale that is zeroed, or gets another bowl, before anything is put on begins from there', () => {
  let so = heardScale(NOTHING_YET, { valueG: 812, steady: false }, 1);
  expect(so).toEqual(NOTHING_YET);
  so = heardScale(so, { valueG: 812, steady: true }, 1);
  so = heardScale(so, { valueG: 0, steady: true }, 1);
  expect(so).toEqual({ beforeG: 0, moved: false });
  // pinch by pinch, each as little as noise and each left to stand: all of them count
  for (const valueG of [1, 2, 4]) so = heardScale(so, { valueG, steady: true }, 1);
  expect(so).toEqual({ beforeG: 0, moved: true });
  for (const valueG of [6, 8, 10]) so = heardScale(so, { valueG, steady: true }, 1);
  expect(onItG(so, { valueG: 10, steady: true })).toBe(10);
  // within tolerance while it still swings is not weighed yet
  expect(isWeighed(so, { valueG: 10, steady: false }, { toGoG: 10, toleranceG: 1 })).toBe(false);
  expect(isWeighed(so, { valueG: 10, steady: true }, { toGoG: 10, toleranceG: 1 })).toBe(true);
});

test('the scale that stands in settles within three seconds on what is on it, to a step or two, and says overload', () => {
  const misses = Array.from({ length: 40 }, (_, seed) => {
    const scale = new ScaleStandIn(KITCHEN_SCALE, seed);
    let steadyAfter = 0;
    for (let tick = 1; tick <= 25; tick += 1)
      if (scale.advance(0.2, 487).state === 'steady') steadyAfter ||= tick * 0.2;
    expect(steadyAfter).toBeGreaterThan(1);
    expect(steadyAfter).toBeLessThan(3.6);
    return scale.shown().value - 487;
  });
  expect(Math.max(...misses.map(Math.abs))).toBeLessThanOrEqual(2);
  // tenths, too: once it stands still with the same on it, it stays so
  const fine = new ScaleStandIn({ stepG: 0.1, capacityG: 6000, noiseG: 0.03, driftG: 0.02 }, 5);
  playScale(fine, 6, 1242, () => undefined);
  const states = new Set<boolean>();
  playScale(fine, 60, 1242, (_, steady) => states.add(steady));
  expect([...states]).toEqual([true]);
  const scale = new ScaleStandIn(KITCHEN_SCALE, 1);
  playScale(scale, 3, 487, () => undefined);
  scale.zero();
  playScale(scale, 3, 487, () => undefined);
  expect(Math.abs(scale.shown().value)).toBeLessThanOrEqual(1);
  playScale(scale, 3, 5600, () => undefined);
  expect(scale.shown().state).toBe('overload');
});

test('a probe that stands in is late by its lag, is off by its own error, and the same seed is the same probe', () => {
  const probe = new ProbeStandIn('ovenProbe', 7, 20);
  const after45 = Array.from({ length: 45 }, () => probe.advance(1, 220)).at(-1)!;
  // one lag: 63 % of the way
  expect(Math.abs(after45.value - (20 + 200 * 0.632))).toBeLessThan(9);
  expect(after45.state).toBe('moving');
  const settled = Array.from({ length: 400 }, () => probe.advance(1, 220)).at(-1)!;
  expect(settled.state).toBe('steady');
  const offs = Array.from({ length: 60 }, (_, seed) => {
    const each = new ProbeStandIn('ovenProbe', seed, 220);
    return each.advance(1, 220).value - 220;
  });
  const sd = Math.sqrt(offs.reduce((sum, off) => sum + off * off, 0) / offs.length);
  expect(sd).toBeGreaterThan(2);
  expect(sd).toBeLessThan(4.2);
  const again = new ProbeStandIn('ovenProbe', 7, 20);
  expect(Array.from({ length: 45 }, () => again.advance(1, 220)).at(-1)).toEqual(after45);
});
