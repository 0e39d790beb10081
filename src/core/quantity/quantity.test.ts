import fc from 'fast-check';
import { libraryBook } from '../ingredients';
import { MEASURE_SYSTEMS, parseQuantity, type MeasureSystem } from '.';
import { measuredAs } from './measuredAs';

const read = (
  text: string,
  id: string,
  system: MeasureSystem = 'us',
  bareUnitG: number | null = 1,
  baseG: number | null = 500,
) => parseQuantity(text, libraryBook.get(id) ?? null, { system, bareUnitG, baseG });
const grams = (...given: Parameters<typeof read>) => {
  const answer = read(...given);
  return answer.ok ? answer.value.massG : null;
};

test.each([
  ['120 g', 'water', null],
  ['50 %', 'water', null],
  ['100-140 g', 'white-rice-flour', { said: '100-140 g', lowG: 100, highG: 140 }],
  [' 1/8 tsp ', 'water', { said: '1/8 tsp', counts: [{ count: 0.125, measure: 'tsp' }] }],
  ['2 large eggs', 'egg-whole', { said: '2 large eggs', counts: [{ count: 2, measure: 'large' }] }],
])('how %s was measured', (text, id, expected) => {
  const answer = read(text, id);
  if (!answer.ok) throw new Error(answer.problem.code);
  const measured = measuredAs(text, answer.value);
  if (expected === null) expect(measured).toBeNull();
  else expect(measured).toMatchObject(expected);
});

describe('what bakers type, in US cups and eggs', () => {
  test.each([
    ['350', 'water', 350],
    ['350 g', 'water', 350],
    ['1.2 kg', 'water', 1200],
    ['0,5 kg', 'water', 500],
    ['4 oz', 'water', 113.4],
    ['1 lb 4 oz', 'water', 567],
    ['1/2 pound', 'water', 226.8],
    ['1 1/2 cups', 'water', 354.9],
    ['1½ cups', 'water', 354.9],
    ['1-1/2 c', 'water', 354.9],
    ['1 C', 'water', 236.6],
    ['1 and 1/2 cups', 'water', 354.9],
    ['¾ tsp', 'salt', 4.52],
    ['3/4 teaspoon', 'salt', 4.52],
    ['1 T', 'honey', 21],
    ['1 t', 'honey', 7],
    ['2 Tbsp.', 'honey', 42],
    ['a pinch', 'salt', 0.38],
    ['half a cup', 'water', 118.3],
    ['a cup', 'water', 236.6],
    ['a heaped tsp', 'salt', 9.64],
    ['1 scant cup', 'water', 212.9],
    ['1 generous cup', 'water', 260.2],
    ['2-3 tbsp', 'olive-oil', 33.8],
    ['2 to 3 tbsp', 'olive-oil', 33.8],
    ['1 cup plus 2 tbsp', 'water', 266.2],
    ['1,5 dl', 'water', 150],
    ['3 cl', 'water', 30],
    ['250 ml', 'whole-milk', 257.5],
    ['4 fl oz', 'water', 118.3],
    ['1 pint', 'water', 473.2],
    ['12 %', 'water', 60],
    ['2.5%', 'salt', 12.5],
    ['2 large eggs', 'egg-whole', 100],
    ['2 eggs', 'egg-whole', 100],
    ['1 extra large egg', 'egg-whole', 56],
    ['1 medium', 'egg-whole', 44],
    ['3 egg whites', 'egg-white', 99],
    ['half a dozen eggs', 'egg-whole', 300],
    ['a packet', 'instant-yeast', 7],
    ['2 sachets', 'active-dry-yeast', 14],
    ['7 g packet', 'instant-yeast', 7],
    ['2 x 7 g packets', 'instant-yeast', 14],
    ['2 (7 g) packets', 'instant-yeast', 14],
    ['1 stick', 'butter', 113.4],
    ['½ stick', 'butter', 56.7],
    ['1 tin', 'coconut-milk', 392],
    ['2 bananas', 'banana', 230],
    ['about 3 tbsp', 'sugar', 38.8],
    ['50', 'egg-whole', 50],
  ] as const)('%j of %s is %d g', (text, id, massG) => {
    expect(grams(text, id)).toBeCloseTo(massG, massG < 10 ? 1 : 0);
  });

  test.each([
    ['', 'water', 'required'],
    ['0', 'water', 'tooSmall'],
    ['-4', 'water', 'tooSmall'],
    ['1,200', 'water', 'notANumber'],
    ['1/0 cup', 'water', 'noReading'],
    ['1 cup of kindness', 'water', 'unknownUnit'],
    ['3 stone', 'water', 'unknownUnit'],
    ['2 sticks', 'water', 'unknownUnit'],
    ['2 cubes', 'instant-yeast', 'unknownUnit'],
    ['some', 'water', 'noReading'],
    ['🍞', 'water', 'noReading'],
    ['1e9', 'water', 'unknownUnit'],
    ['40C', 'water', 'unknownUnit'],
    ['9'.repeat(80), 'water', 'tooLong'],
  ] as const)('%j of %s is refused: %s', (text, id, code) => {
    const answer = read(text, id);
    expect(answer.ok ? 'read' : answer.problem.code).toBe(code);
  });
});

test('whose cup it is, is said; a weight is the same everywhere', () => {
  const cups = MEASURE_SYSTEMS.map((system) => Math.round(grams('1 cup', 'water', system) ?? 0));
  expect(cups).toEqual([250, 237, 284]);
  const eggs = MEASURE_SYSTEMS.map((system) => Math.round(grams('1 large egg', 'egg-whole', system) ?? 0));
  expect(eggs).toEqual([60, 50, 60]);
  for (const system of MEASURE_SYSTEMS) expect(grams('8 oz', 'water', system)).toBeCloseTo(226.8, 1);
});

test('a percentage needs a base, a cup an ingredient, a bare number a unit', () => {
  expect(read('12 %', 'water', 'us', 1, null)).toMatchObject({
    ok: false,
    problem: { code: 'noShareWithoutFlour' },
  });
  expect(read('1 cup', 'no-such-thing')).toMatchObject({ ok: false, problem: { code: 'unknownIngredient' } });
  expect(read('12', 'water', 'us', null)).toMatchObject({ ok: false, problem: { code: 'unknownUnit' } });
  expect(grams('10', 'water', 'us', 28.349523125)).toBeCloseTo(283.5, 1);
});

test('the range holds the weight, and is wider for a cup than for a scale', () => {
  const ids = [...libraryBook.keys()];
  const units = ['g', 'oz', 'cup', 'cups', 'tbsp', 'tsp', 'ml', 'fl oz', 'pinch'];
  fc.assert(
    fc.property(
      fc.constantFrom(...ids),
      fc.constantFrom(...units),
      fc.integer({ min: 1, max: 40 }),
      fc.constantFrom(...MEASURE_SYSTEMS),
      (id, unit, amount, system) => {
        const answer = read(`${amount} ${unit}`, id, system);
        if (!answer.ok) throw new Error(`${amount} ${unit} ${id}: ${answer.problem.code}`);
        const { massG, lowG, highG, by } = answer.value;
        expect(lowG).toBeLessThanOrEqual(massG * (1 + 1e-12));
        expect(highG).toBeGreaterThanOrEqual(massG * (1 - 1e-12));
        expect(by).toBe(unit === 'g' || unit === 'oz' ? 'mass' : 'volume');
        if (by === 'volume') expect(highG - lowG).toBeGreaterThan(0.009 * massG);
        // twice as much of it weighs twice as much
        expect(grams(`${2 * amount} ${unit}`, id, system)).toBeCloseTo(2 * massG, 6);
      },
    ),
    { numRuns: 300 },
  );
});

test('no text makes it throw', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => typeof read(text, 'water').ok === 'boolean'),
    { numRuns: 500 },
  );
});

describe('the kitchen’s own measures', () => {
  const own = [
    { measure: 'mug', ingredientId: null, weighedG: [250] },
    { measure: 'cup', ingredientId: 'white-rice-flour', weighedG: [160, 170, 165] },
  ];
  const mine = (text: string, id: string) => {
    const answer = parseQuantity(text, libraryBook.get(id)!, { system: 'us', bareUnitG: 1, baseG: 500, own });
    if (!answer.ok) throw new Error(answer.problem.code);
    return answer.value;
  };

  test('a mug weighed with water is 250 ml of anything; a cup weighed with this flour is what it weighed', () => {
    expect(mine('1 mug', 'water')).toMatchObject({ massG: 250, counts: [{ count: 1, measure: 'mug' }] });
    const flour = libraryBook.get('brown-rice-flour')!;
    expect(mine('2 mugs', 'brown-rice-flour').massG).toBeCloseTo(500 * Math.sqrt(flour.densitySpooned * flour.densityScooped), 6); // prettier-ignore
    expect(mine('1 1/2 cups', 'white-rice-flour').massG).toBeCloseTo(247.5, 9);
    // another flour's cup is anybody's still
    expect(mine('1 cup', 'brown-rice-flour').massG).toBeCloseTo(grams('1 cup', 'brown-rice-flour')!, 9);
  });

  test('its doubt is that of its fillings: far smaller than that of any cup', () => {
    const { lowG, highG, massG } = mine('1 cup', 'white-rice-flour');
    // 165 g with a standard deviation of 5: ± 1.28 · 5
    expect([massG - lowG, highG - massG]).toEqual([expect.closeTo(6.41, 1), expect.closeTo(6.41, 1)]);
    const anybodys = read('1 cup', 'white-rice-flour');
    if (!anybodys.ok) throw new Error('no cup');
    expect(highG - lowG).toBeLessThan(0.3 * (anybodys.value.highG - anybodys.value.lowG));
    // weighed once it is known to five in a hundred
    const once = mine('1 mug', 'water');
    expect(once.highG - once.massG).toBeCloseTo(12.5, 6);
  });

  test('a mug nobody weighed is no quantity', () => {
    expect(read('1 mug', 'water')).toMatchObject({ ok: false, problem: { code: 'unknownUnit' } });
  });
});
