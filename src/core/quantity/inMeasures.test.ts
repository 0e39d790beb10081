import fc from 'fast-check';
import { libraryBook } from '../ingredients';
import { inMeasures } from './inMeasures';
import { MEASURE_SYSTEMS, parseQuantity, type MeasureSystem } from '.';

const of = (id: string, massG: number, system: MeasureSystem = 'metric') =>
  inMeasures(massG, libraryBook.get(id)!, { system })?.counts.map(({ count, measure }) => `${Math.round(100 * count) / 100} ${measure}`).join(' + '); // prettier-ignore

test.each([
  ['water', 250, 'metric', '1 cup'],
  ['water', 236.6, 'us', '1 cup'],
  ['water', 375, 'metric', '1.5 cup'],
  ['water', 300, 'metric', '1 cup + 3.5 tbsp'],
  ['water', 62, 'metric', '0.25 cup'],
  ['water', 45, 'metric', '3 tbsp'],
  ['water', 20, 'metric', '1 tbsp + 1 tsp'],
  ['water', 5, 'metric', '1 tsp'],
  ['water', 6.3, 'metric', '1.25 tsp'],
  ['water', 0.6, 'metric', '0.13 tsp'],
  ['egg-whole', 119, 'metric', '2 large'],
  ['egg-whole', 88, 'metric', '1.5 large'],
  ['egg-whole', 50, 'us', '1 large'],
] as const)('%s, %s g, %s: %s', (id, massG, system, said) => expect(of(id, massG, system)).toBe(said));

test('an egg that is too far from a half or a whole one is measured in spoons; a grain of salt is not measured at all', () => {
  expect(of('egg-whole', 40)).toMatch(/tbsp/);
  expect(inMeasures(0.2, libraryBook.get('water')!, { system: 'metric' })).toBeNull();
});

test('one’s own cup counts before the standard one, of its own ingredient before that of water', () => {
  const own = [
    { measure: 'cup', ingredientId: null, weighedG: [200] },
    { measure: 'cup', ingredientId: 'brown-rice-flour', weighedG: [150] },
  ];
  const flour = inMeasures(300, libraryBook.get('brown-rice-flour')!, { system: 'metric', own });
  expect(flour).toEqual({ counts: [{ count: 2, measure: 'cup' }], massG: 300 });
  expect(inMeasures(200, libraryBook.get('water')!, { system: 'metric', own })?.counts).toEqual([{ count: 1, measure: 'cup' }]); // prettier-ignore
});

test('what is said weighs what it says, and is never far from what was asked; read back as it is written it is the same', () => {
  const ids = [...libraryBook.keys()].filter((id) => !/egg/.test(id));
  fc.assert(
    fc.property(fc.constantFrom(...ids), fc.double({ min: 20, max: 3000, noNaN: true }), fc.constantFrom(...MEASURE_SYSTEMS), (id, massG, system) => {
      const ingredient = libraryBook.get(id)!;
      const found = inMeasures(massG, ingredient, { system })!;
      // half of half a tablespoon at most
      const spoon = parseQuantity('1 tbsp', ingredient, { system, bareUnitG: null, baseG: null });
      const halfG = spoon.ok ? 0.25 * spoon.value.massG : 0;
      expect(Math.abs(found.massG - massG)).toBeLessThanOrEqual(Math.max(0.031 * massG, halfG + 1e-6));
      const text = found.counts.map(({ count, measure }) => `${count} ${measure}`).join(' plus ');
      const read = parseQuantity(text, ingredient, { system, bareUnitG: null, baseG: null });
      expect(read.ok && read.value.massG).toBeCloseTo(found.massG, 3);
    }),
  ); // prettier-ignore
});
