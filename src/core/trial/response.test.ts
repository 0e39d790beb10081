import { seededRandom } from '../numeric/seededRandom';
import { responseOf, type RungScore } from './response';

const rung = (value: number, score: number, tasters = 1): RungScore => ({ value, score, tasters });

test('a worked example: three rungs of one taster each, by hand', () => {
  // z −1, 0, 1; X'X/σ² with σ² = 0.35² + 0.7² = 0.6125, and the prior's 1/sd² on its diagonal, solved once with a calculator
  const response = responseOf([rung(80, 2), rung(90, 4), rung(100, 3)], 1);
  const [level, slope, bend] = solved([2, 4, 3]);
  expect(response.at(90).value).toBeCloseTo(level!, 6);
  expect(response.at(100).value).toBeCloseTo(level! + slope! + bend!, 6);
  expect(response.at(80).value).toBeCloseTo(level! - slope! + bend!, 6);
  // the slope stands alone: 2 points of evidence of 0.6125 each against a prior of 0.81
  expect(slope!).toBeCloseTo((3 - 2) / 0.6125 / (2 / 0.6125 + 1 / 0.81), 6);
});

/** The normal equations of that example, by Cramer's rule. */
function solved([a, b, c]: readonly [number, number, number]): number[] {
  const w = 1 / 0.6125;
  const slope = ((c - a) * w) / (2 * w + 1 / 0.81);
  // level and bend hang together: [3w + 1, 2w; 2w, 2w + 1/0.64]
  const [p, q, r] = [3 * w + 1, 2 * w, 2 * w + 1 / 0.64];
  const [u, v] = [(a + b + c) * w + 3.2, (a + c) * w - 0.3 / 0.64];
  const det = p * r - q * q;
  return [(u * r - q * v) / det, slope, (p * v - q * u) / det];
}

test('three points say what three points can: no rung is sure to be best, and the interval is wide', () => {
  const three = responseOf([rung(80, 2), rung(90, 4), rung(100, 3)], 1);
  expect(three.says).toBe('curve');
  const chances = three.bestOf.map(({ chance }) => chance);
  expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 2);
  expect(Math.max(...chances)).toBe(chances[1]);
  expect(Math.max(...chances)).toBeLessThan(0.9);
  const { low, high } = three.at(90);
  expect(high - low).toBeGreaterThan(1);
  // eight tasters each and the middle is all but sure
  const many = responseOf([rung(80, 2, 8), rung(90, 4, 8), rung(100, 3, 8)], 1);
  expect(many.bestOf[1]!.chance).toBeGreaterThan(chances[1]!);
  expect(many.at(90).high - many.at(90).low).toBeLessThan(high - low);
  expect(many.top!.value).toBeGreaterThan(85);
  expect(many.top!.value).toBeLessThan(97);
});

test('one value says nothing, two say which way and no more', () => {
  expect(responseOf([], 1)).toMatchObject({ says: 'nothing', teaches: null, top: null });
  expect(responseOf([rung(90, 4), rung(90, 5)], 1)).toMatchObject({ says: 'nothing', top: null });
  const two = responseOf([rung(80, 2), rung(100, 4)], 1);
  expect(two).toMatchObject({ says: 'two', top: null });
  expect(two.risesChance).toBeGreaterThan(0.75);
  expect(two.risesChance).toBeLessThan(0.99);
  // scores that rise all the way have their best at the end or beyond: the next bread is asked for there
  const rising = responseOf([rung(80, 1, 6), rung(90, 3, 6), rung(100, 5, 6)], 1);
  expect(rising.top).toBeNull();
  expect(rising.teaches!).toBeGreaterThan(100);
});

test('its intervals hold what they say: of a hundred ladders with a hidden curve, about eighty', () => {
  const random = seededRandom(11);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  let [held, asked] = [0, 0];
  for (let round = 0; round < 300; round++) {
    const hidden = [3.2 + normal(), 0.9 * normal(), -0.3 + 0.8 * normal()] as const;
    const score = (z: number) => hidden[0] + hidden[1] * z + hidden[2] * z * z;
    const rungs = [-1, 0, 1].map((z) => {
      const tasters = 1 + Math.floor(3 * random());
      return rung(90 + 10 * z, score(z) + Math.hypot(0.35, 0.7 / Math.sqrt(tasters)) * normal(), tasters);
    });
    const response = responseOf(rungs, round);
    for (const z of [-0.5, 0.5]) {
      const { low, high, value } = response.at(90 + 10 * z);
      // at the ends of the card nothing can be told apart
      if (value <= 1.05 || value >= 4.95 || low <= 1 || high >= 5) continue;
      asked += 1;
      if (score(z) >= low && score(z) <= high) held += 1;
    }
  }
  expect(asked).toBeGreaterThan(200);
  expect(held / asked).toBeGreaterThan(0.72);
  expect(held / asked).toBeLessThan(0.88);
});
