import { FIGURES } from '../calibrated';
import { HEAT } from './parameters';
import fc from 'fast-check';
import { SHAPES } from '../method/heating';
import {
  bakeForecast,
  simulateBake,
  finish,
  newPhase,
  ORDINARY_OVENS,
  type BakeQuestion,
  type BakeSimulation,
} from '.';
import { PIECE_LIMITS } from './piece';
import type { Phase } from './programme';
import { enterPhase, newSurroundings, stepSurroundings } from './surroundings';
import { tinLoaf } from './testBakes';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** As likely a gram as a kilogram. */
const spread = (min: number, max: number) => between(Math.log(min), Math.log(max)).map(Math.exp);

const anyPiece: fc.Arbitrary<BakeQuestion['piece']> = fc.constantFrom(...SHAPES).chain((shape) =>
  fc.record({
    shape: fc.constant(shape),
    massG: spread(PIECE_LIMITS[shape].massG.min, PIECE_LIMITS[shape].massG.max),
    lightness: between(1, 3),
    springs: between(1, 1.8),
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
    oven: fc.constantFrom(
      ...(['static', 'fan', 'deck', 'flame', 'grill', 'humid'] as const).map((kind) => ({
        ...ORDINARY_OVENS[kind],
        hottestC: 550,
      })),
    ),
  })
  .map(({ waterShare, ...question }) =>
    tinLoaf({ ...question, tin: null, matter: { ...tinLoaf().matter, waterShare } }),
  );

/** What holds of every bake whatever: figures, books that balance, no more water lost than there was, nothing hotter than its heat. */
function sound(question: BakeQuestion, run: BakeSimulation): void {
  const { atS, coreC, meanC, topC, baseC, lost, set, brownTop, brownBase, spots, crustMm } = run;
  const figures = [atS, coreC, meanC, topC, baseC, lost, set, brownTop, brownBase, spots, [crustMm]].flat();
  expect(figures.filter((figure) => !Number.isFinite(figure))).toEqual([]);
  expect(run.heatMissing).toBeLessThan(1e-3);
  expect(run.waterMissing).toBeLessThan(1e-3);
  // sauce and cheese bring water of their own
  const wettest = question.phases.some(({ topped }) => topped) ? 0.65 : 0;
  expect(Math.max(...lost)).toBeLessThanOrEqual(Math.max(wettest, question.matter.waterShare) + 1e-8);
  // a flame's dome and a grill's element glow above the setting
  const glows =
    question.oven.kind === 'grill'
      ? HEAT.grillAboveC
      : question.oven.kind === 'flame'
        ? FIGURES['flame.dome']
        : 0;
  const hottestC = Math.max(
    120,
    question.oven.offsetC + 45 + glows + Math.max(...question.phases.map(({ setC }) => setC)),
  );
  expect(Math.max(...coreC, ...topC, ...baseC)).toBeLessThan(hottestC);
  expect(Math.min(...coreC)).toBeGreaterThan(Math.min(question.startC, question.roomC) - 15);
}

test('a flat of three millimetres, light, on a griddle: dries far and stays a figure', () => {
  for (const lightness of [1, 1.3, 2])
    for (const kind of ['shipped', 'coarse'] as const) {
      const question = tinLoaf({
        piece: { shape: 'flatbread', massG: 80, lightness, lengthCm: 20, widthCm: null },
        tin: null,
        phases: [newPhase('griddle', 1800, 220, { on: 'griddle' }), newPhase('rack', 3600, 0)],
      });
      const made = simulateBake(question, undefined, kind);
      if (!made.ok) throw new Error(made.problem.path);
      sound(question, made.value);
      // never turned: its upper side dries into the room
      expect(made.value.lost.at(-1)).toBeGreaterThan(0.3);
    }
});

test('a small ring charred in a very hot oven: its crust gives no more water than it holds', () => {
  const question = tinLoaf({
    piece: { shape: 'ring', massG: 15, lightness: 1.045, lengthCm: null, widthCm: null },
    matter: { ...tinLoaf().matter, waterShare: 0.761 },
    tin: null,
    phases: [newPhase('oven', 2723, 490.7)],
    oven: { ...ORDINARY_OVENS.static, hottestC: 550 },
  });
  for (const kind of ['shipped', 'coarse'] as const) {
    const made = simulateBake(question, undefined, kind);
    if (!made.ok) throw new Error(made.problem.path);
    sound(question, made.value);
  }
});

test('a ball has no other side to be turned to, and a plate does the same to either side of a flat', () => {
  const griddled = (shape: 'ball' | 'flatbread', turned: boolean) => {
    const made = simulateBake(
      tinLoaf({
        piece: { shape, massG: 60, lightness: 1.5, lengthCm: null, widthCm: null },
        tin: null,
        phases: [newPhase('griddle', 90, 200, { on: 'griddle', turned }), newPhase('rack', 60, 0)],
      }),
      undefined,
      'coarse',
    );
    if (!made.ok) throw new Error(made.problem.path);
    return made.value;
  };
  expect(griddled('ball', true)).toEqual(griddled('ball', false));
  const [as, over] = [griddled('flatbread', false), griddled('flatbread', true)];
  expect(over.topC.at(-1)).toBeCloseTo(as.baseC.at(-1)!, 6);
});

test('turned, a plate gives its heat over the side that lies on it', () => {
  const cooled = (
    turned: boolean,
    sideW: number[],
    extents: { topM2: number; sideM2: number; baseM2: number },
  ) => {
    const griddle = newPhase('griddle', 60, 200, { on: 'griddle', turned });
    const around = newSurroundings(
      {
        roomC: 21,
        oven: ORDINARY_OVENS.static,
        pressurePa: 101_325,
        transfer: 1,
        pieces: 1,
        contact: 1,
        rack: 1,
        acrossM: 0.12,
        offsetC: 0,
        tin: null,
        plateThickM: {},
        figures: FIGURES,
      },
      21,
    );
    enterPhase(around, griddle, null, 21);
    stepSurroundings(around, griddle, Float64Array.from(sideW), 0, 1, extents, 2);
    return around.plate!.tempC[0]!;
  };
  const base = cooled(false, [0, 0, 40], { topM2: 0.02, sideM2: 0, baseM2: 0.01 });
  expect(base).toBeLessThan(200);
  expect(cooled(true, [40, 0, 0], { topM2: 0.01, sideM2: 0, baseM2: 0.02 })).toBe(base);
});

test('over before it is hot: cool enough to cut at once, and the range is a range', () => {
  const made = finish(
    bakeForecast(
      tinLoaf({
        piece: { shape: 'touchingRolls', massG: 320, lightness: 1.5, lengthCm: null, widthCm: null },
        tin: null,
        phases: [newPhase('griddle', 35, 281, { on: 'griddle' }), newPhase('rack', 10_800, 0)],
      }),
    ),
  );
  if (!made.ok) throw new Error(made.problem.path);
  const { low, value, high } = made.value.coreAtEndC;
  expect([low, value, high].every((coreC) => coreC > 15 && coreC < 60)).toBe(true);
});

test('any piece through any programme: figures, balanced books, no more lost than was there', () => {
  let baked = 0;
  fc.assert(
    fc.property(anyBake, (question) => {
      const made = simulateBake(question, undefined, 'coarse', 60);
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
