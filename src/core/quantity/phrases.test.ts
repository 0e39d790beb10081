import { libraryBook } from '../ingredients';
import { parseQuantity } from '.';
import type { WeighingContext } from './weigh';

type Row = [text: string, ingredientId: string, expected: unknown[], context?: Partial<WeighingContext>];

/**
 * What is understood by what people type: grams with their range and what they come from, or why not. Checked by hand against the
 * measures and weights of one (measures.ts, pieces.ts): a US cup of water is 236.588 g give or take 4 %, two large eggs are 100 g and, as nobody said
 * large, from two small mediums to two heavy larges.
 */
const ROWS: Row[] = [
  ['1 lb 4 oz', 'water', [566.99, 566.99, 566.99, 'mass']],
  ['1 oz 2 lb', 'water', ['unknownUnit', { unit: '2' }]],
  ['200 g 2 cups', 'water', ['unknownUnit', { unit: '2' }]],
  ['1 cup 2 tbsp', 'water', [266.162, 253.741, 278.583, 'volume']],
  ['2 tbsp 1 cup', 'water', ['unknownUnit', { unit: '1' }]],
  ['250 ml 2 tbsp', 'water', ['unknownUnit', { unit: '2' }]],
  ['1 cup + 2 tbsp', 'water', [266.162, 253.741, 278.583, 'volume']],
  ['1 cup and 2 tbsp', 'water', [266.162, 253.741, 278.583, 'volume']],
  ['1 cup & 2 tbsp', 'water', [266.162, 253.741, 278.583, 'volume']],
  ['1 cup 1 cup', 'water', ['unknownUnit', { unit: '1' }]],
  ['1 l 50 ml', 'water', [1050, 1039.5, 1060.5, 'volume']],
  ['1 kg plus 100 g', 'water', [1100, 1100, 1100, 'mass']],
  ['1 lb plus 2 tbsp', 'water', [483.166, 480.209, 486.124, 'volume']],
  ['2 x 7 g packets', 'instant-yeast', [14, 14, 14, 'mass']],
  ['2 × 7 g', 'instant-yeast', [14, 14, 14, 'mass']],
  ['2 x 250 ml', 'water', [500, 495, 505, 'volume']],
  ['2 x 1 cup', 'water', [473.176, 454.249, 492.103, 'volume']],
  ['2 (7 g) packets', 'instant-yeast', [14, 14, 14, 'mass']],
  ['2 (7 g packets', 'instant-yeast', ['unknownUnit', { unit: '(' }]],
  ['2 (7 ml) packets', 'instant-yeast', ['unknownUnit', { unit: '(' }]],
  ['1 (400 g) tin', 'coconut-milk', [400, 400, 400, 'mass']],
  ['7-g packet', 'instant-yeast', [7, 7, 7, 'mass']],
  ['14 g packets', 'instant-yeast', [14, 14, 14, 'mass']],
  ['2 7 g packets', 'instant-yeast', ['unknownUnit', { unit: '7' }]],
  ['a couple of eggs', 'egg-whole', [100, 78.72, 110.24, 'count']],
  ['a dozen eggs', 'egg-whole', [600, 472.32, 661.44, 'count']],
  ['half a dozen eggs', 'egg-whole', [300, 236.16, 330.72, 'count']],
  ['quarter of a cup', 'water', [59.147, 56.7811, 61.5129, 'volume']],
  ['half of a cup', 'water', [118.294, 113.562, 123.026, 'volume']],
  ['half a tsp', 'salt', [3.01335, 2.55076, 3.52424, 'volume']],
  ['two and a half cups', 'water', [591.47, 567.811, 615.129, 'volume']],
  ['2 medium eggs each', 'egg-whole', ['unknownUnit', { unit: 'each' }]],
  ['2 packets each', 'instant-yeast', [14, 14, 16, 'count']],
  ['1 med egg', 'egg-whole', [44, 39.36, 48.36, 'count']],
  ['1 extra-large egg', 'egg-whole', [56, 50.88, 61.36, 'count']],
  ['1 extra egg', 'egg-whole', ['unknownUnit', { unit: 'extra' }]],
  ['1 small egg', 'egg-whole', [43, 37.44, 47.84, 'count'], { system: 'metric' }],
  ['2 eggs', 'egg-whole', [119, 91.2, 132.08, 'count'], { system: 'metric' }],
  ['1 egg yolk', 'egg-yolk', [20.23, 15.504, 22.4536, 'count'], { system: 'metric' }],
  ['3 egg whites', 'egg-white', [117.81, 90.288, 130.759, 'count'], { system: 'metric' }],
  ['3 quail eggs', 'quail-egg', [28.5, 24, 33, 'count']],
  ['1 cube', 'fresh-yeast', [17, 17, 57, 'count']],
  ['1 cube', 'fresh-yeast', [42, 40, 42, 'count'], { system: 'metric' }],
  ['a packet', 'fresh-yeast', [17, 17, 57, 'count']],
  ['a packet', 'fresh-yeast', [42, 40, 50, 'count'], { system: 'metric' }],
  ['a packet', 'gelatine', [7, 7, 7.2, 'count']],
  ['a packet', 'gelatine', [11.7, 9, 12, 'count'], { system: 'metric' }],
  ['2 leaves', 'gelatine', [3.8, 3.2, 6.6, 'count']],
  ['1 stick', 'butter', [113.4, 112, 115, 'count']],
  ['1 piece', 'banana', [115, 100, 155, 'count']],
  ['1 banana', 'banana', [115, 100, 155, 'count']],
  ['1 large banana', 'banana', [135, 120, 155, 'count']],
  ['2 pieces', 'egg-whole', [119, 91.2, 132.08, 'count'], { system: 'metric' }],
  ['1 tin', 'coconut-milk', [392, 388, 405, 'count']],
  ['1 potato', 'mashed-potato', [170, 110, 230, 'count']],
  ['1 lemon', 'lemon-juice', [45, 32, 60, 'count']],
  ['heaped cup', 'white-rice-flour', ['noReading']],
  ['1 heaped cup', 'white-rice-flour', [244.621, 166.861, 337.961, 'volume']],
  ['1 level tsp', 'salt', [6.0267, 5.32825, 6.79216, 'volume']],
  ['1 rounded tbsp', 'honey', [28.3467, 21.26, 35.4333, 'volume']],
  ['1 scant cup', 'water', [212.929, 193.766, 232.093, 'volume']],
  ['a pinch of salt', 'salt', [0.379038, 0.17825, 0.6045, 'volume']],
  ['2 cups of rice flour', 'white-rice-flour', [305.776, 263.464, 354.314, 'volume']],
  ['1-2 cups', 'water', [354.882, 227.124, 492.103, 'volume']],
  ['1 to 2 cups', 'water', [354.882, 227.124, 492.103, 'volume']],
  ['1 or 2 eggs', 'egg-whole', [75, 39.36, 110.24, 'count']],
  ['3-2 cups', 'water', ['unknownUnit', { unit: '-' }]],
  ['2–3 tbsp', 'olive-oil', [33.7883, 24.3276, 44.6005, 'volume']],
  ['1~2 tsp', 'salt', [9.04005, 5.10152, 14.0969, 'volume']],
  ['1 1/2 - 2 cups', 'water', [414.029, 340.687, 492.103, 'volume']],
  ['½ tsp', 'salt', [3.01335, 2.55076, 3.52424, 'volume']],
  ['2 ½ cups', 'water', [591.47, 567.811, 615.129, 'volume']],
  ['2½ cups', 'water', [591.47, 567.811, 615.129, 'volume']],
  ['1/2 cup', 'water', [118.294, 113.562, 123.026, 'volume']],
  ['3/0 cup', 'water', ['noReading']],
  ['11/2 cups', 'water', [1301.23, 1249.18, 1353.28, 'volume']],
  ['1 1⁄2 cups', 'water', [354.882, 340.687, 369.077, 'volume']],
  ['10 1/2 oz', 'water', [297.67, 297.67, 297.67, 'mass']],
  ['1 / 2 cup', 'water', [118.294, 113.562, 123.026, 'volume']],
  ['.5 kg', 'water', [500, 500, 500, 'mass']],
  [',5 kg', 'water', [500, 500, 500, 'mass']],
  ['1,200 g', 'water', ['noReading']],
  ['12,345 g', 'water', ['noReading']],
  ['1,20 kg', 'water', [1200, 1200, 1200, 'mass']],
  ['1.200 g', 'water', ['noReading']],
  ['1.2000 g', 'water', [1.2, 1.2, 1.2, 'mass']],
  ['1.200 kg', 'water', [1200, 1200, 1200, 'mass']],
  ['0.500 g', 'water', [0.5, 0.5, 0.5, 'mass']],
  ['123.456 ml', 'water', ['noReading']],
  ['1000000 g', 'water', [1000000, 1000000, 1000000, 'mass']],
  ['1000001 g', 'water', ['noReading']],
  ['1-1000001 g', 'water', ['unknownUnit', { unit: '-' }]],
  ['1-1000000 g', 'water', [500001, 1, 1000000, 'mass']],
  ['about 250 ml', 'water', [250, 247.5, 252.5, 'volume']],
  ['ca. 250 ml', 'water', [250, 247.5, 252.5, 'volume']],
  ['ca 250 ml', 'water', [250, 247.5, 252.5, 'volume']],
  ['approx. 2 cups', 'water', [473.176, 454.249, 492.103, 'volume']],
  ['approx 2 cups', 'water', [473.176, 454.249, 492.103, 'volume']],
  ['circa 2 cups', 'water', [473.176, 454.249, 492.103, 'volume']],
  ['~ 2 cups', 'water', [473.176, 454.249, 492.103, 'volume']],
  ['roundabout 2 cups', 'water', ['noReading']],
  ['12 %', 'water', [60, 60, 60, 'percent']],
  ['12 percent', 'water', [60, 60, 60, 'percent']],
  ['12 %', 'water', ['noShareWithoutFlour'], { baseG: null }],
  ['12 %', 'water', ['noShareWithoutFlour'], { baseG: 0 }],
  ['12 - 14 %', 'water', [65, 60, 70, 'percent']],
  ['350', 'water', [350, 350, 350, 'mass']],
  ['350', 'water', [9922.33, 9922.33, 9922.33, 'mass'], { bareUnitG: 28.349523125 }],
  ['3', 'egg-whole', [150, 118.08, 165.36, 'count'], { bareUnitG: null }],
  ['3', 'water', ['unknownUnit', { unit: '' }], { bareUnitG: null }],
  ['350', '', [350, 350, 350, 'mass']],
  ['3 cups', '', ['unknownIngredient']],
  ['3 eggs', '', ['unknownUnit', { unit: 'eggs' }]],
  ['3 large', '', ['unknownIngredient']],
  ['350', '', ['unknownIngredient'], { bareUnitG: null }],
  ['12-15', '', [13.5, 12, 15, 'mass']],
  ['-5 g', 'water', ['notANumber']],
  ['+5 g', 'water', ['notANumber']],
  ['0 g', 'water', ['noReading']],
  ['0', 'water', ['tooSmall', { min: 0.01 }]],
  ['', 'water', ['required']],
  ['  350 g  ', 'water', [350, 350, 350, 'mass']],
  ['xxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxx', 'water', ['tooLong', { max: 60 }]],
  ['350 g                                                            ', 'water', [350, 350, 350, 'mass']],
  ['some', 'water', ['noReading']],
  ['12.3.4', 'water', ['unknownUnit', { unit: '.4' }]],
  ['40 C', 'water', ['unknownUnit', { unit: 'C' }]],
  ['9 C', 'water', [2129.29, 2044.12, 2214.46, 'volume']],
  ['10 C', 'water', ['unknownUnit', { unit: 'C' }]],
  ['5 flurbs', 'water', ['unknownUnit', { unit: 'flurbs' }]],
  ['2 stick', 'water', ['unknownUnit', { unit: 'stick' }]],
  ['2 large', 'water', ['unknownUnit', { unit: 'large' }]],
  ['2 cups sugar', 'water', ['unknownUnit', { unit: 'sugar' }]],
  ['12-inch', 'water', ['unknownUnit', { unit: '-' }]],
  ['3 fl. oz', 'water', [88.722, 86.0603, 91.3837, 'volume']],
  ['3 fluid ounces', 'water', [88.722, 86.0603, 91.3837, 'volume']],
  ['3 fluid ounce', 'water', [88.722, 86.0603, 91.3837, 'volume']],
  ['3 fl oz.', 'water', [88.722, 86.0603, 91.3837, 'volume']],
  ['1 qt', 'water', [946.353, 917.962, 974.744, 'volume']],
  ['1 pt', 'water', [568.261, 551.213, 585.309, 'volume'], { system: 'metric' }],
  ['1 cup', 'water', [284.131, 272.766, 295.496, 'volume'], { system: 'imperial' }],
  ['1 dsp', 'honey', [14.2, 12.496, 15.904, 'volume']],
  ['1 handful', 'spinach', ['unknownIngredient']],
  ['0 eggs', 'egg-whole', ['noReading']],
  ['2 T', 'honey', [41.9951, 37.7956, 46.1946, 'volume']],
  ['2 Tb', 'honey', [41.9951, 37.7956, 46.1946, 'volume']],
  ['1 knob', 'butter', [14.576, 8.7456, 20.4064, 'volume']],
  ['3 drops', 'vanilla', ['unknownIngredient']],
  ['100 mg', 'salt', [0.1, 0.1, 0.1, 'mass']],
  ['2 eggs and a yolk', 'egg-whole', ['unknownUnit', { unit: 'and' }]],
  ['1 cup 2', 'water', ['unknownUnit', { unit: '2' }]],
  ['1 g 1 g', 'water', ['unknownUnit', { unit: '1' }]],
  ['1 ml 1 drop', 'water', ['unknownUnit', { unit: '1' }]],
  ['two and a half cups', 'water', [591.47, 567.811, 615.129, 'volume']],
  ['one and a quarter cup', 'water', [295.735, 283.906, 307.564, 'volume']],
  ['2 eggs and a half', 'egg-whole', ['unknownUnit', { unit: 'and' }]],
  ['quarter of an egg', 'egg-whole', [12.5, 9.84, 13.78, 'count']],
  ['half a dozen of eggs', 'egg-whole', [300, 236.16, 330.72, 'count']],
];

test.each(ROWS)('%j of %j', (text, ingredientId, expected, context = {}) => {
  const read = parseQuantity(text, libraryBook.get(ingredientId) ?? null, {
    system: 'us',
    bareUnitG: 1,
    baseG: 500,
    ...context,
  });
  if (!read.ok) {
    const { code, path, params } = read.problem;
    expect([code, ...(params ? [params] : [])]).toEqual(expected);
    expect(path).toBe('massG');
    return;
  }
  const { massG, lowG, highG, by } = read.value;
  expect([massG, lowG, highG].map((grams) => Number(grams.toPrecision(6)))).toEqual(expected.slice(0, 3));
  expect(by).toBe(expected[3]);
});

test('a cup less a spoon, and counts that scale; a weight is no count', () => {
  const flour = libraryBook.get('white-rice-flour')!;
  const read = (text: string) => {
    const found = parseQuantity(text, flour, { system: 'us', bareUnitG: 1, baseG: null });
    if (!found.ok) throw new Error(found.problem.code);
    return found.value;
  };
  const [cup, spoon, less] = [read('1 cup'), read('1 tbsp'), read('1 cup less 1 tbsp')];
  expect(less.massG).toBeCloseTo(cup.massG - spoon.massG, 9);
  expect(less.lowG).toBeCloseTo(cup.lowG - spoon.highG, 9);
  expect(less.highG).toBeCloseTo(cup.highG - spoon.lowG, 9);
  expect(less.counts).toEqual([{ count: 1, measure: 'cup' }, { count: -1, measure: 'tbsp' }]); // prettier-ignore
  expect(read('2 cups plus 2 tsp').counts).toEqual([{ count: 2, measure: 'cup' }, { count: 2, measure: 'tsp' }]); // prettier-ignore
  expect([read('1 heaped tbsp').counts, read('120 g').counts, read('1 lb 4 oz').counts]).toEqual([undefined, undefined, undefined]); // prettier-ignore
  const eggs = parseQuantity('3 large eggs', libraryBook.get('egg-whole')!, { system: 'us', bareUnitG: 1, baseG: null }); // prettier-ignore
  expect(eggs.ok && eggs.value.counts).toEqual([{ count: 3, measure: 'large' }]);
  expect(parseQuantity('1 tbsp less 1 cup', flour, { system: 'us', bareUnitG: 1, baseG: null }).ok).toBe(
    false,
  );
});
