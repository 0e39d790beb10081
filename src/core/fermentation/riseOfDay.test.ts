import { sdOf } from './learnRise';
import { riseOfDay } from './riseOfDay';
import { NO_DRAW, NORMAL, volumesOf, type RiseQuestion } from './riseSimulation';
import { testLeavening } from './testLeavening';

const question: RiseQuestion = {
  leavening: testLeavening,
  doughC: 26,
  stays: [{ place: 'warm', tempC: 28, durationS: 9000, standing: 'tin', pieceG: 900, pressedOut: 0 }],
};
const HOUR = 3600;
const at = (z: readonly number[], tS = HOUR): number => volumesOf(question, [tS], z)[0]!;
const spread = (all: readonly number[]): number => {
  const mean = all.reduce((sum, each) => sum + each, 0) / all.length;
  return Math.sqrt(all.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (all.length - 1));
};
const before = spread(NORMAL.map((z) => at(z)));
const marked = (grown: number, times = [HOUR]) =>
  riseOfDay([{ question, points: times.map((atS) => ({ atS, sinceS: 0, grown })) }])!;

test('one mark: the draws close up about it as two measurements of one thing do, no more and no less', () => {
  const books = at(NO_DRAW);
  for (const off of [-0.12, 0, 0.12]) {
    const grown = books + off;
    const { middle, draws } = marked(grown);
    const error = sdOf(grown);
    const share = before ** 2 / (before ** 2 + error ** 2);
    // what is known before and what is seen, each by its weight
    expect(Math.abs(at(middle) - (books + share * off))).toBeLessThan(0.02);
    const left = before * Math.sqrt(1 - share);
    expect(Math.abs(spread(draws.map((z) => at(z))) / left - 1)).toBeLessThan(0.15);
  }
});

test('what is seen early narrows what comes, less and less the further it is', () => {
  const { draws } = marked(at(NO_DRAW, HOUR / 2), [HOUR / 2]);
  const share = (tS: number) => spread(draws.map((z) => at(z, tS))) / spread(NORMAL.map((z) => at(z, tS)));
  expect(share(HOUR / 2)).toBeLessThan(share(1.5 * HOUR));
  expect(share(1.5 * HOUR)).toBeLessThan(share(2.5 * HOUR) + 0.03);
  expect(share(2.5 * HOUR)).toBeLessThan(1.1);
});

test('the same mark again and again is not ten marks: they share a hand and a room', () => {
  const twice = spread(marked(1.3, [HOUR, HOUR + 60]).draws.map((z) => at(z)));
  const often = spread(marked(1.3, Array.from({ length: 12 }, (_, index) => HOUR + 60 * index)).draws.map((z) => at(z))); // prettier-ignore
  expect(often).toBeGreaterThan(0.75 * twice);
});

test('a mark that cannot be is none; one no dough could reach leaves every figure within bounds', () => {
  expect(riseOfDay([])).toBeNull();
  expect(riseOfDay([{ question, points: [{ atS: 60, sinceS: 60, grown: 1 }, { atS: 60, sinceS: 0, grown: -1 }] }])).toBeNull(); // prettier-ignore
  const { middle, draws } = marked(5);
  for (const z of [middle, ...draws]) {
    expect(Math.max(...z.map(Math.abs))).toBeLessThanOrEqual(4);
    expect(Number.isFinite(at(z))).toBe(true);
  }
});
