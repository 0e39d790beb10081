import fc from 'fast-check';
import { allergenStatement, cautionsOf } from '../cautions';
import { formulaTotals, type Formula } from '../formula';
import { nutritionOf } from '../formula/nutrition';
import { anyFormula, line, plainLoaf } from '../formula/testFormulas';
import { yeastDose } from '../formula/yeast';
import { libraryBook } from '../ingredients';
import { newStep } from '../method';
import { predict } from '../predict';

const withLines = (...lines: [string, number][]): Formula => ({
  ...plainLoaf(),
  stages: [{ id: 's', kind: 'main', name: '', lines: lines.map(([id, massG]) => line(id, massG)) }],
});
const base: [string, number][] = [
  ['white-rice-flour', 300],
  ['tapioca-starch', 200],
];
const codes = (formula: Formula) => predict(formula, libraryBook).notices.map(({ code }) => code);

test('each notice comes with its cause and goes with it', () => {
  const good: [string, number][] = [
    ...base,
    ['psyllium-husk', 22],
    ['water', 480],
    ['salt', 10],
    ['instant-yeast', 7],
  ];
  expect(codes(withLines(...good)).filter((code) => code !== 'thickens')).toEqual([]);
  const more = (...lines: [string, number][]) => codes(withLines(...good, ...lines));
  expect(more(['xanthan', 15])).toContain('twoBinders');
  expect(more(['xanthan', 3])).not.toContain('twoBinders');
  expect(more(['potato-flour', 90])).toEqual(expect.arrayContaining(['overMost', 'lookAlike']));
  expect(more(['baking-soda', 4])).toContain('sodaWithoutAcid');
  expect(more(['baking-soda', 4], ['cider-vinegar', 10])).not.toContain('sodaWithoutAcid');
  expect(more(['sugar', 80])).toContain('sugarBrakes');
  // gum inside a bought blend is counted and told, but only where more binder is added to it
  const blend = (...lines: [string, number][]) =>
    codes(withLines(['bought-blend-gum', 500], ['water', 450], ['salt', 10], ['instant-yeast', 7], ...lines));
  expect(blend(['xanthan', 4])).toContain('binderInside');
  expect(blend(['psyllium-husk', 12])).toContain('binderInside');
  expect(blend()).not.toContain('binderInside');
  expect(blend()).not.toContain('noBinder');
  expect(codes(withLines(['bought-blend-plain', 500], ['water', 400], ['salt', 10]))).toContain('noBinder');
  expect(codes(withLines(...base, ['water', 350], ['salt', 10], ['instant-yeast', 7]))).toContain('noBinder');
  expect(codes(withLines(...good.filter(([id]) => id !== 'salt')))).toContain('noSalt');
  expect(codes(withLines(...good.filter(([id]) => id !== 'instant-yeast')))).toContain('noLeaven');
  expect(codes(withLines(...base))).toContain('noWater');
  expect(codes(withLines(...good.filter(([id]) => id !== 'water'), ['water', 900]))).toContain(
    'bandForStyle',
  );
  expect(codes({ ...plainLoaf(), stages: [] })).toEqual([]);
});

test('notices are ranked and name lines of the sheet, whatever is on it', () => {
  fc.assert(
    fc.property(anyFormula, (formula) => {
      const { notices } = predict(formula, libraryBook);
      const ids = new Set(formula.stages.flatMap((stage) => stage.lines.map(({ id }) => id)));
      notices.forEach(({ rank, lineIds }, index) => {
        expect(rank).toBeLessThanOrEqual(notices[index - 1]?.rank ?? 100);
        lineIds.forEach((id) => expect(ids.has(id)).toBe(true));
      });
    }),
    { numRuns: 150 },
  );
});

test('cautions follow from the sheet and the method', () => {
  const of = (formula: Formula) =>
    cautionsOf(formula, libraryBook, formulaTotals(formula, libraryBook).baseG).map(({ code }) => code);
  expect(of(plainLoaf())).toEqual(['egg', 'psylliumWater', 'psylliumDust', 'rawFlour']);
  expect(of(withLines(['wheat-starch-gluten-free', 100]))).toContain('wheatStarch');
  expect(of(withLines(['oat-flour-certified', 100]))).toContain('oats');
  expect(of(withLines(['lupin-flour', 100]))).toContain('lupinPeanut');
  expect(of(withLines(['millet-flour', 100], ['honey', 5], ['quail-egg', 5]))).toEqual(
    expect.arrayContaining(['crossContact', 'honey', 'egg']),
  );
  const warm = { ...plainLoaf(), steps: [{ ...newStep('bulk', 'b'), minS: 4 * 3600, tempC: 28 }] };
  expect(of(warm)).toContain('warmHold');
  expect(of({ ...warm, steps: [{ ...newStep('chill', 'b'), minS: 40 * 3600, tempC: 4 }] })).not.toContain(
    'warmHold',
  );
  const fried = {
    ...withLines(['rice-starch', 100], ['butter', 20]),
    steps: [{ ...newStep('fry', 'f'), tempC: 170 }],
  };
  // butter in a dough is not what the dough is fried in
  expect(of(fried)).toContain('hotOil');
  expect(of(fried)).not.toContain('smokePoint');
  const inButter = {
    ...fried,
    stages: [
      ...fried.stages,
      { id: 'o', kind: 'topping' as const, name: 'To fry in', lines: [line('butter', 500)] },
    ],
  };
  expect(of(inButter)).toContain('smokePoint');
  // twice over the fire is one caution; oil in a batter never gets as hot as the griddle, oil on it does
  const turned = [220, 225].map((tempC, n) => ({ ...newStep('griddle', `g${n}`), tempC }));
  const flat = { ...withLines(['rice-starch', 100], ['olive-oil', 8]), steps: turned };
  expect(of(flat)).not.toContain('smokePoint');
  const oiled = {
    ...flat,
    stages: [
      ...flat.stages,
      { id: 't', kind: 'topping' as const, name: '', lines: [line('olive-oil', 4, 'brushed')] },
    ],
  };
  expect(of(oiled).filter((code) => code === 'smokePoint')).toHaveLength(1);
});

test('the statement names every allergen once with what brings it, also inside a mixture and a topping', () => {
  const formula = withLines(
    ['sorghum-starter', 80],
    ['egg-whole', 50],
    ['egg-white', 20],
    ['maize-starch', 40],
  );
  const statement = allergenStatement(
    { stages: [...formula.stages, { id: 't', kind: 'topping', name: '', lines: [line('sesame-seed', 5)] }] },
    libraryBook,
  );
  expect(
    statement.allergens.map(({ allergen, ingredientIds }) => [allergen, [...ingredientIds].sort()]),
  ).toEqual([
    ['egg', ['egg-white', 'egg-whole']],
    ['sesame', ['sesame-seed']],
  ]);
  expect(statement.avoided.map(({ allergen }) => allergen)).toEqual(['maize']);
  expect(statement.gluten).toEqual([
    { risk: 'crossContactCommon', ingredientIds: ['sorghum-starter', 'sorghum-flour'] },
  ]);
  expect(statement.madeWith.map(({ massG }) => massG)).toEqual(
    [...statement.madeWith.map(({ massG }) => massG)].sort((a, b) => b - a),
  );
  expect(statement.madeWith.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(195, 9);
});

test('nutrition adds up to the sheet, and yeast is told in three kinds', () => {
  const loaf = plainLoaf();
  const { perBase100g, perBaked100g, starchSharePercent } = nutritionOf(loaf, libraryBook, 500);
  expect(starchSharePercent).toBeCloseTo(40, 9);
  expect(perBase100g!.salt).toBeCloseTo((10 * 0.995 + 50 * 0.0036) / 5, 6);
  expect(perBaked100g.protein.value).toBeGreaterThan(2);
  expect(perBaked100g.protein.sd).toBeGreaterThan(0);
  const dose = yeastDose(withLines(...base, ['instant-yeast', 7]), libraryBook, 500)!;
  expect(dose.as['instant-yeast']).toEqual({ g: 7, lowG: 7, highG: 7 });
  expect(dose.as['fresh-yeast'].g).toBeCloseTo(21, 9);
  expect(dose.as['active-dry-yeast'].g).toBeCloseTo(8.75, 9);
  expect(dose.as['fresh-yeast'].lowG).toBeLessThan(21);
  expect(dose.freshPercent).toBeCloseTo(4.2, 9);
  expect(yeastDose(loaf, libraryBook, 500)).toBeNull();
  const mixed = yeastDose(withLines(['instant-yeast', 3], ['fresh-yeast', 9]), libraryBook, 500)!;
  expect(mixed.as['instant-yeast'].g).toBeCloseTo(6, 9);
});
