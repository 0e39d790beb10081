import fc from 'fast-check';
import { SHAPES } from '../method/heating';
import { bakeForecast, bakeRun, finish, newPhase, ORDINARY_OVENS, type BakeQuestion, type BakeRun } from '.';
import { PIECE_LIMITS } from './piece';
import type { Phase } from './programme';
import { tinLoaf } from './testBakes';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** As likely a gram as a kilogram. */
const spread = (min: number, max: number) => between(Math.log(min), Math.log(max)).map(Math.exp);

const anyPiece: fc.Arbitrary<BakeQuestion['piece']> = fc.constantFrom(...SHAPES).chain((shape) =>
  fc.record({
    shape: fc.constant(shape),
    massG: spread(PIECE_LIMITS[shape].massG.min, PIECE_LIMITS[shape].massG.max),
    lightness: between(1, 3),
    lengthCm: fc.option(between(6, 40)),
    widthCm: fc.option(between(6, 25)),
  }),
);
const lasts = spread(2, 5000);
const anyPhase: fc.Arbitrary<Phase> = fc.oneof(
  fc
    .tuple(lasts, between(80, 500), fc.constantFrom('dry' as const, 'steam' as const), fc.boolean())
    .chain(([durationS, setC, moist, topped]) =>
      fc
        .constantFrom(null, 'tray' as const, 'stone' as const, 'steel' as const, 'castIron' as const)
        .map((on) => newPhase('oven', durationS, setC, { moist, topped, on })),
    ),
  fc
    .tuple(lasts, between(120, 340), fc.boolean())
    .map(([durationS, setC, turned]) => newPhase('griddle', durationS, setC, { on: 'griddle', turned })),
  fc.tuple(lasts, between(130, 195)).map(([durationS, setC]) => newPhase('fry', durationS, setC)),
  spread(2, 600).map((durationS) => newPhase('boil', durationS, 100)),
  lasts.map((durationS) => newPhase('coast', durationS, 0)),
  lasts.map((durationS) => newPhase('rack', durationS, 0)),
);
const anyBake: fc.Arbitrary<BakeQuestion> = fc
  .record({
    piece: anyPiece,
    phases: fc.array(anyPhase, { minLength: 1, maxLength: 5 }),
    waterShare: fc.oneof({ arbitrary: between(0.08, 0.85), weight: 9 }, fc.constant(0)),
    altitudeM: between(0, 4000),
    count: fc.integer({ min: 1, max: 20 }),
    oven: fc.constantFrom(ORDINARY_OVENS.static, ORDINARY_OVENS.fan, ORDINARY_OVENS.deck),
  })
  .map(({ waterShare, ...question }) =>
    tinLoaf({ ...question, tin: null, matter: { ...tinLoaf().matter, waterShare } }),
  );

/** What holds of every bake whatever: figures, books that balance, no more water lost than there was, nothing hotter than its heat. */
function sound(question: BakeQuestion, run: BakeRun): void {
  const { atS, coreC, meanC, topC, baseC, lost, set, brownTop, brownBase, crustMm } = run;
  const figures = [atS, coreC, meanC, topC, baseC, lost, set, brownTop, brownBase, [crustMm]].flat();
  expect(figures.filter((figure) => !Number.isFinite(figure))).toEqual([]);
  expect(run.heatMissing).toBeLessThan(1e-3);
  expect(run.waterMissing).toBeLessThan(1e-3);
  expect(Math.max(...lost)).toBeLessThanOrEqual(question.matter.waterShare + 1e-9);
  const hottestC = Math.max(
    120,
    question.oven.offsetC + 45 + Math.max(...question.phases.map(({ setC }) => setC)),
  );
  expect(Math.max(...coreC, ...topC, ...baseC)).toBeLessThan(hottestC);
  expect(Math.min(...coreC)).toBeGreaterThan(Math.min(question.startC, question.roomC) - 15);
}

test('a flat of three millimetres, light, on a griddle: dries to a crisp and stays a figure', () => {
  for (const lightness of [1, 1.3, 2])
    for (const kind of ['shipped', 'coarse'] as const) {
      const question = tinLoaf({
        piece: { shape: 'flatbread', massG: 80, lightness, lengthCm: 20, widthCm: null },
        tin: null,
        phases: [newPhase('griddle', 1800, 220, { on: 'griddle' }), newPhase('rack', 3600, 0)],
      });
      const made = bakeRun(question, undefined, kind);
      if (!made.ok) throw new Error(made.problem.path);
      sound(question, made.value);
      expect(made.value.lost.at(-1)).toBeGreaterThan(0.5);
    }
});

test('any piece through any programme: figures, balanced books, no more lost than was there', () => {
  let baked = 0;
  fc.assert(
    fc.property(anyBake, (question) => {
      const made = bakeRun(question, undefined, 'coarse', 60);
      if (!made.ok) return expect(made.problem.path).toMatch(/massG|thicknessM|lengthCm|widthCm|phases/);
      baked += 1;
      sound(question, made.value);
    }),
    { numRuns: 60 },
  );
  expect(baked).toBeGreaterThan(30);
});

test('the range around any bake holds its middle, also where it is over before it is hot', () => {
  fc.assert(
    fc.property(anyBake, (question) => {
      const made = finish(bakeForecast(question));
      if (!made.ok) return expect(made.problem.path).not.toBe('');
      const { coreAtEndC, lost, lostCooled, set, cut, brownTop, brownBase } = made.value;
      for (const { low, value, high } of [coreAtEndC, lost, lostCooled, brownTop, brownBase]) {
        expect(low).toBeLessThanOrEqual(value + 1e-9 + 1e-6 * Math.abs(value));
        expect(value).toBeLessThanOrEqual(high + 1e-9 + 1e-6 * Math.abs(high));
      }
      for (const { low, value, high } of [set, cut]) {
        if (low !== null && value !== null) expect(low).toBeLessThanOrEqual(value * 1.000001 + 1e-9);
        if (high !== null && value !== null) expect(value).toBeLessThanOrEqual(high * 1.000001 + 1e-9);
      }
    }),
    { numRuns: 10 },
  );
});
