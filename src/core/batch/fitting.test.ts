import fc from 'fast-check';
import { formulaTotals, type Formula } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { SHAPES } from '../method/heating';
import { newStep, type MethodStep, type StepKind } from '../method';
import { fitOf, fitsOn, footprintCm, type Lying } from '../process/fits';
import { NO_ROOM, type Room } from '../process/room';
import {
  ordinaryScales,
  planBatch,
  smallDoses,
  type BatchRequest,
  type BatchSheet,
  type ScaleRanges,
} from '.';

const step = (kind: StepKind, part: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, kind),
  ...part,
});
const lying = (part: Partial<Lying> = {}): Lying => ({
  shape: 'roll', massG: 85, lengthCm: null, widthCm: null, tin: null, ...part,
}); // prettier-ignore
const room = (part: Partial<Room> = {}): Room => ({ ...NO_ROOM, ...part });
const tray = (lengthCm: number, widthCm: number, count = 1) =>
  ({ kind: 'tray', surface: { lengthCm, widthCm, round: false }, count }) as const;

test('how much room pieces take: a roll of 85 g is 7 cm across, a ring of 105 g a hand wide, a loaf as long as its tin', () => {
  expect(footprintCm(lying()).long).toBeCloseTo(7.2, 1);
  const ring = footprintCm(lying({ shape: 'ring', massG: 105 })).long;
  expect(ring).toBeGreaterThan(9);
  expect(ring).toBeLessThan(13);
  const tin = lying({ shape: 'tin', massG: 1050, lengthCm: 24, widthCm: 10.5 });
  expect(footprintCm(tin)).toEqual({ long: 25, wide: 11.5 });
  // what its length is not said of follows from its mass
  expect(footprintCm(lying({ shape: 'tin', massG: 1050 })).long).toBeCloseTo(22.7, 0);
  expect(footprintCm(lying({ shape: 'disc', massG: 240, lengthCm: 27 }))).toEqual({ long: 27, wide: 27 });
});

test('a tray, two shelves, a stone, a kettle, oil: each load by what holds it, or not at all', () => {
  const on = (of: MethodStep, piece: Lying, kitchen: Room, said: number | null = null) =>
    fitOf(of, piece, kitchen, said, of.heat?.on ?? null);
  const bake = step('bake');
  expect(on(bake, lying(), room())).toBeNull();
  const one = room({ plates: [tray(40, 30, 2)] });
  expect(on(bake, lying(), one)).toEqual({ count: 12, by: 'tray' });
  expect(on(bake, lying(), { ...one, oven: { floor: null, shelves: 2 } })).toEqual({ count: 24, by: 'tray' });
  // ten rings 9.6 cm across lie staggered where square rows would take nine
  const rings = lying({ shape: 'ring', massG: 105 });
  expect(fitsOn({ lengthCm: 42, widthCm: 34, round: false }, rings)).toBe(10);
  // the baker's word stands above any measure
  expect(on(bake, lying(), one, 9)).toEqual({ count: 9, by: 'said' });
  expect(on(step('bake', { atATime: 2 }), lying(), one, 9)).toEqual({ count: 2, by: 'said' });
  // two discs of 27 cm find no room beside one another on a stone of 38 × 35 cm; one does
  const stone = room({
    plates: [{ kind: 'stone', surface: { lengthCm: 38, widthCm: 35, round: false }, count: 2 }],
  });
  const disc = lying({ shape: 'disc', massG: 240, lengthCm: 27 });
  const onStone = step('bake', { heat: { on: 'stone' } });
  expect(on(onStone, disc, stone)).toEqual({ count: 1, by: 'plate' });
  expect(on(onStone, lying({ shape: 'disc', massG: 240, lengthCm: 40 }), stone)).toEqual({
    count: 0,
    by: 'plate',
  });
  // tins: as many as there are of that size, or as the floor has room for
  const loaf = lying({ shape: 'tin', massG: 1050, tin: 'dark', lengthCm: 24, widthCm: 10.5 });
  const tins = [{ kind: 'dark', lengthCm: 24, widthCm: 10.5, count: 2 }] as const;
  expect(on(bake, loaf, room({ tins }))).toEqual({ count: 2, by: 'tins' });
  const floor = { lengthCm: 27, widthCm: 36, round: false };
  expect(on(bake, loaf, room({ tins: [{ ...tins[0], count: 5 }], oven: { floor, shelves: 1 } }))).toEqual({
    count: 2,
    by: 'oven',
  });
  expect(on(step('boil'), lying({ shape: 'ring', massG: 105 }), room({ kettleCm: 28 }))).toEqual({
    count: 4,
    by: 'kettle',
  });
  // 2.5 l of oil are 2.3 kg: an eighth of that is 287 g, four knots of 62 g
  const frying = room({ fryerCm: 40, oilLitres: 2.5 });
  expect(on(step('fry'), lying({ shape: 'round', massG: 62 }), frying)).toEqual({ count: 4, by: 'oil' });
  expect(
    on(step('griddle'), lying({ shape: 'flatbread', massG: 80, lengthCm: 15 }), room({ panCm: 28 })),
  ).toEqual({
    count: 1,
    by: 'pan',
  });
  expect(on(step('cool'), lying(), one)).toBeNull();
});

test('a larger surface never takes fewer, and pieces never take more room than there is', () => {
  fc.assert(
    fc.property(
      fc.record({
        shape: fc.constantFrom(...SHAPES.filter((shape) => shape !== 'touchingRolls')),
        massG: fc.double({ min: 20, max: 1500, noNaN: true }),
        lengthCm: fc.double({ min: 20, max: 100, noNaN: true }),
        widthCm: fc.double({ min: 20, max: 100, noNaN: true }),
        more: fc.double({ min: 0, max: 30, noNaN: true }),
        round: fc.boolean(),
      }),
      ({ shape, massG, lengthCm, widthCm, more, round }) => {
        const piece = lying({ shape, massG });
        const width = round ? lengthCm : widthCm;
        const count = fitsOn({ lengthCm, widthCm: width, round }, piece);
        expect(
          fitsOn({ lengthCm: lengthCm + more, widthCm: width + (round ? more : 0), round }, piece),
        ).toBeGreaterThanOrEqual(count);
        const { long, wide } = footprintCm(piece);
        if (count > 1) expect(count * long * wide).toBeLessThanOrEqual(lengthCm * width);
      },
    ),
    { numRuns: 300, seed: 11 },
  );
});

const method = [step('mix'), step('kneadAgain'), step('bulk'), step('shape'), step('bake'), step('cool')];
const planned = (
  { formula = { ...plainLoaf(), steps: method }, request, kitchen, scales = ordinaryScales }:
  { formula?: Formula; request: BatchRequest; kitchen: Room; scales?: ScaleRanges },
): BatchSheet => {
  const sheet = planBatch(formula, request, scales, libraryBook, kitchen);
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.problem));
  return sheet.value;
}; // prettier-ignore
const rolls = (pieces: number): BatchRequest => ({
  mode: 'pieces', pieces, pieceMassG: 85, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0,
}); // prettier-ignore

test('a dough too big for the mixer becomes several mixes: all of it is weighed, each mix its share, then it rises as one', () => {
  const sheet = planned({ request: rolls(40), kitchen: room({ mixG: 1500 }) });
  expect(sheet.mixes).toEqual({ count: 3, mostG: 1500 });
  expect(sheet.steps.map(({ id }) => id)).toEqual([
    'mix-1', 'kneadAgain-1', 'mix-2', 'kneadAgain-2', 'mix-3', 'kneadAgain-3', 'bulk', 'shape', 'bake', 'cool',
  ]); // prettier-ignore
  expect(sheet.activities?.slice(0, 2).map(({ mix }) => mix)).toEqual([
    { at: 1, of: 3 },
    { at: 1, of: 3 },
  ]);
  const [main] = sheet.stages;
  const water = main!.lines.filter(({ ingredientId }) => ingredientId === 'water');
  expect(water.map(({ atStepId, of }) => [atStepId, of?.at])).toEqual([
    [undefined, 1],
    ['mix-2', 2],
    ['mix-3', 3],
  ]);
  const whole = (400 * 40 * 85) / 980;
  expect(water.reduce((sum, { exactG }) => sum + exactG, 0)).toBeCloseTo(whole, 6);
  expect(sheet.doughG).toBeCloseTo(3400, -1);
  // it fits: nothing is said, nothing is split
  const fits = planned({ request: rolls(12), kitchen: room({ mixG: 1500 }) });
  expect(fits.mixes).toBeUndefined();
  expect(fits.steps.map(({ id }) => id)).toEqual(method.map(({ id }) => id));
});

test('loads follow from the trays: 40 rolls, 12 at a time, four even loads', () => {
  const formula = { ...plainLoaf(), steps: method, bakedAs: { shape: 'roll', lengthCm: null, widthCm: null, tin: null, perLoad: null } } as const; // prettier-ignore
  const sheet = planned({ formula, request: rolls(40), kitchen: room({ plates: [tray(40, 30)] }) });
  expect(sheet.loads).toEqual([{ stepId: 'bake', wayId: null, fits: 12, by: 'tray', loads: 4 }]);
  expect(sheet.activities?.map(({ pieces }) => pieces)).toEqual([10, 10, 10, 10]);
  // not even one of them fits: one goes in at a time, and it is said
  const cup = planned({ formula, request: rolls(3), kitchen: room({ plates: [tray(6, 6)] }) });
  expect(cup.loads).toEqual([{ stepId: 'bake', wayId: null, fits: 0, by: 'tray', loads: 3 }]);
});

test('a dose below the scale is said and helped: a stock in the dough’s water or flour that holds it to a twentieth', () => {
  const plain = plainLoaf();
  const [main, ...rest] = plain.stages;
  const lines = [...main!.lines, line('instant-yeast', 0.4, 'yeast'), line('xanthan', 3, 'gum')];
  const formula: Formula = { ...plain, stages: [{ ...main!, lines }, ...rest] };
  const wholeGrams: ScaleRanges = [{ upToG: 5000, stepG: 1 }];
  const sheet = planned({
    formula,
    request: { mode: 'factor', factor: 1, pieceMassG: 900, bowlLossPercent: 0 },
    kitchen: NO_ROOM,
    scales: wholeGrams,
  });
  const doses = smallDoses(sheet, libraryBook);
  const yeast = doses.find(({ lineId }) => lineId === 'yeast');
  expect(yeast).toMatchObject({
    stepG: 1,
    finerStepG: 0.01,
    stock: { how: 'dissolved', doseG: 10, carrierG: 240, takeG: 10 },
  });
  expect(yeast?.offPercent).toBeCloseTo(125, 6);
  expect(doses.find(({ lineId }) => lineId === 'gum')).toMatchObject({
    finerStepG: 0.1,
    stock: { how: 'mixed', doseG: 10, carrierG: 90, takeG: 30, lessCarrierG: 27 },
  });
  // baking powder in water has spent itself before it is in the dough
  const lifted: Formula = {
    ...plain,
    stages: [{ ...main!, lines: [...main!.lines, line('baking-powder', 3)] }, ...rest],
  };
  const once = planned({
    formula: lifted,
    request: rolls(10),
    kitchen: room({ mixG: 500 }),
    scales: wholeGrams,
  });
  const powder = smallDoses(once, libraryBook).filter(({ name }) => name === 'Baking powder');
  expect(powder.map(({ stock }) => stock?.how)).toEqual(['mixed']);
  // what is taken of a stock holds the dose, and its carrier is in the dough
  for (const { stock, exactG } of doses) {
    if (!stock) continue;
    const held = (stock.takeG * stock.doseG) / (stock.doseG + stock.carrierG);
    expect(Math.abs(held / exactG - 1)).toBeLessThan(0.05);
    expect(stock.lessCarrierG).toBeLessThan(formulaTotals(formula, libraryBook).doughG);
  }
  // a scale of tenths shows both well enough
  const fine = planned({
    formula,
    request: rolls(10),
    kitchen: NO_ROOM,
    scales: [{ upToG: 5000, stepG: 0.01 }],
  });
  expect(smallDoses(fine, libraryBook)).toEqual([]);
});
