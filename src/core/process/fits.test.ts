import fc from 'fast-check';
import { SHAPES } from '../method/heating';
import { newStep, type MethodStep, type StepKind } from '../method';
import { fitOf, fitsOn, footprintCm, type Lying } from './fits';
import { NO_ROOM, type Room } from './room';

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

const on = (of: MethodStep, piece: Lying, kitchen: Room) =>
  fitOf(of, piece, kitchen, null, of.heat?.on ?? null);
const flat = (lengthCm: number, widthCm: number, round = false) => ({ lengthCm, widthCm, round });

test.each<[Partial<Lying>, number, number]>([
  [{ shape: 'ring', massG: 105, lengthCm: 12 }, 12, 12],
  [{ shape: 'baguette', massG: 300, lengthCm: 40 }, 40, 4.26],
  // 570 cm³ over its usual 34 cm
  [{ shape: 'baguette', massG: 300 }, 34, 4.62],
  // a ball of 30 g: 57 cm³, 4.8 cm across
  [{ shape: 'ball', massG: 30 }, 4.775, 4.775],
  [{ shape: 'hearth', massG: 700, lengthCm: 21 }, 21, 21],
  [{ shape: 'flatbread', massG: 80, lengthCm: 15 }, 15, 15],
  [{ shape: 'tin', massG: 1050, lengthCm: 24 }, 25, 10.85],
])('%j takes %s by %s cm', (piece, long, wide) => {
  const foot = footprintCm(lying(piece));
  expect(foot.long).toBeCloseTo(long, 1);
  expect(foot.wide).toBeCloseTo(wide, 1);
});

test('a round surface takes one that just fits, none that does not, and of many half of itself', () => {
  const disc = (lengthCm: number) => lying({ shape: 'disc', massG: 240, lengthCm });
  expect([30, 29.9].map((across) => fitsOn(flat(across, across, true), disc(30)))).toEqual([1, 0]);
  // 60 cm across, pieces of 10 cm with 1.5 cm between: 0.5 · (60 / 11.5)² = 13.6
  expect(fitsOn(flat(60, 60, true), disc(10))).toBe(13);
  // the longer side decides whether a loaf goes on a round stone
  expect(fitsOn(flat(30, 30, true), lying({ shape: 'baguette', massG: 300, lengthCm: 40 }))).toBe(0);
});

test('rows of either way round; the tray it is lying on counts, the roomiest shelf first', () => {
  // three tins of 25 by 11.5 cm side by side across 40, or two the other way
  const loaf = lying({ shape: 'tin', massG: 1050, lengthCm: 24, widthCm: 10.5, tin: 'dark' });
  expect(fitsOn(flat(26, 41), loaf)).toBe(3);
  expect(fitsOn(flat(41, 26), loaf)).toBe(3);
  expect(fitsOn(flat(24, 60), loaf)).toBe(2);
  const plates = [
    { kind: 'tray', surface: flat(20, 20), count: 1 },
    { kind: 'tray', surface: flat(40, 30), count: 1 },
    { kind: 'steel', surface: flat(30, 30), count: 3 },
  ] as const;
  const bake = step('bake');
  expect(on(bake, lying(), room({ plates }))).toEqual({ count: 12, by: 'tray' });
  expect(on(bake, lying(), room({ plates, oven: { floor: null, shelves: 2 } }))).toEqual({ count: 16, by: 'tray' });
  // of three steels one is in the oven
  const onSteel = step('bake', { heat: { on: 'steel' } });
  expect(on(onSteel, lying(), room({ plates, oven: { floor: null, shelves: 2 } }))).toEqual({ count: 9, by: 'plate' });
  // of what nobody measured the floor decides
  expect(on(step('bake', { heat: { on: 'stone' } }), lying(), room({ plates, oven: { floor: flat(30, 30), shelves: 2 } }))).toEqual({ count: 18, by: 'oven' });
  expect(on(step('coast'), lying(), room({ plates }))?.count).toBe(12);
}); // prettier-ignore

test('a tin of the kit is meant where it is about the formula’s, of its kind; the fewer of tins and floor', () => {
  const tins = [{ kind: 'dark', lengthCm: 24, widthCm: 10.5, count: 2 }, { kind: 'dark', lengthCm: 25, widthCm: 11, count: 1 }, { kind: 'shiny', lengthCm: 24, widthCm: 10.5, count: 7 }] as const;
  const loaf = (part: Partial<Lying> = {}) => lying({ shape: 'tin', massG: 1050, lengthCm: 24, widthCm: 10.5, tin: 'dark', ...part });
  const bake = step('bake');
  expect(on(bake, loaf(), room({ tins }))).toEqual({ count: 3, by: 'tins' });
  expect(on(bake, loaf({ tin: 'shiny' }), room({ tins }))).toEqual({ count: 7, by: 'tins' });
  // 1.5 cm off is the same tin, 1.6 cm is not
  expect(on(bake, loaf({ lengthCm: 25.5 }), room({ tins }))).toEqual({ count: 3, by: 'tins' });
  expect(on(bake, loaf({ lengthCm: 26.6 }), room({ tins }))).toBeNull();
  // nobody said which: as a tin for so much dough usually is
  expect(on(bake, loaf({ lengthCm: null, widthCm: null }), room({ tins }))).toEqual({ count: 3, by: 'tins' });
  expect(on(bake, loaf({ lengthCm: null, widthCm: null, massG: 300 }), room({ tins }))).toBeNull();
}); // prettier-ignore

test('water, oil and pan: by what floats in it, by the oil’s own heat, and a griddle before a pan', () => {
  const knot = lying({ shape: 'round', massG: 62 });
  expect(on(step('fry'), knot, room())).toBeNull();
  expect(on(step('fry'), knot, room({ fryerCm: 20 }))).toEqual({ count: 4, by: 'pan' });
  expect(on(step('fry'), knot, room({ fryerCm: 20, oilLitres: 10 }))).toEqual({ count: 4, by: 'pan' });
  // a spoon of oil fries one
  expect(on(step('fry'), knot, room({ fryerCm: 20, oilLitres: 0.2 }))).toEqual({ count: 1, by: 'oil' });
  expect(on(step('boil'), knot, room())).toBeNull();
  expect(on(step('griddle'), knot, room())).toBeNull();
  const plates = [{ kind: 'griddle', surface: flat(40, 30), count: 1 }] as const;
  const flats = lying({ shape: 'flatbread', massG: 80, lengthCm: 12 });
  expect(on(step('griddle'), flats, room({ panCm: 28, plates }))).toEqual({ count: 6, by: 'plate' });
}); // prettier-ignore
