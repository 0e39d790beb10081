import { libraryBook, type Ingredient, type IngredientBook } from '../ingredients';
import { newStep } from '../method';
import { checkFormula, compareFormulas, emptyFormula, firstMassG, formulaTotals, type Formula } from '.';
import { massByIngredient } from './formula';
import { record, redo, settle, startHistory, undo } from './history';
import { insideFormula } from './insideFormula';
import { nutritionOf } from './nutrition';
import { sizeFromWords } from './sizeFromWords';
import { takeApart } from './takeApart';
import { line, plainLoaf } from './testFormulas';
import { yeastDose } from './yeast';

const of = (stages: Formula['stages'], rest: Partial<Formula> = {}): Formula => ({
  ...emptyFormula('Sum', 's'),
  stages,
  ...rest,
});
const dough = (...lines: [string, number][]): Formula['stages'][number] => ({
  id: 'd',
  kind: 'main',
  name: 'Dough',
  lines: lines.map(([id, massG]) => line(id, massG)),
});
const onTop = (...lines: [string, number][]): Formula['stages'][number] => ({
  ...dough(...lines),
  id: 't',
  kind: 'topping',
});

/** A flour of round figures, a starch, and a jar of three parts flour to one of starch. */
const round = (id: string, part: Partial<Ingredient>): Ingredient => ({
  ...libraryBook.get('white-rice-flour')!,
  id,
  name: id,
  saltPer100g: 0,
  per100g: {
    water: { value: 10, sd: 1 },
    starch: { value: 60, sd: 3 },
    sugars: { value: 2, sd: 0.1 },
    protein: { value: 10, sd: 0.5 },
    fat: { value: 8, sd: 0.4 },
    fibre: { value: 10, sd: 0.5 },
    ash: { value: 0, sd: 0 },
    other: { value: 0, sd: 0 },
  },
  ...part,
});
const book: IngredientBook = new Map<string, Ingredient>([
  ...libraryBook,
  ['flour', round('flour', {})],
  ['starch', round('starch', { roles: ['starch'], family: 'starch', saltPer100g: 1 })],
  [
    'jar',
    round('jar', { madeOf: [{ ingredientId: 'flour', share: 3 }, { ingredientId: 'starch', share: 1 }] }), // prettier-ignore
  ],
  ['loop', round('loop', { madeOf: [{ ingredientId: 'loop', share: 1 }] })],
  ['bare', round('bare', { madeOf: [] })],
  ['bits', { ...libraryBook.get('poppy-seed')!, id: 'bits', usualShare: null }],
  [
    'fat',
    {
      ...libraryBook.get('olive-oil')!,
      id: 'fat',
      per100g: { ...libraryBook.get('olive-oil')!.per100g, water: { value: 0, sd: 0 } },
    },
  ],
]);

describe('nutrition', () => {
  const usualYield = { pieces: 1, pieceMassG: 500, bakeLossPercent: 20, bowlLossPercent: 0 };
  const formula = of([dough(['flour', 200], ['starch', 200], ['water', 500]), onTop(['starch', 100])], {
    usualYield,
  });
  const made = nutritionOf(formula, book, 400);

  test('by hand: 1 kg in, a fifth lost, so that 100 g baked hold an eighth of it all', () => {
    // 500 g of flour and starch with 10 g of protein in 100 g: 50 g in 800 g
    expect(made.perBaked100g.protein.value).toBeCloseTo(6.25, 9);
    expect(made.perBaked100g.starch.value).toBeCloseTo(37.5, 9);
    // each of three lines errs by itself: 0.5 % of 200, 200 and 100 g
    expect(made.perBaked100g.protein.sd).toBeCloseTo(Math.hypot(1, 1, 0.5) / 8, 9);
    // 1 g of salt in 100 g of each starch
    expect(made.perBaked100g.salt.value).toBeCloseTo(0.375, 9);
    expect(made.perBaked100g.salt.sd).toBeCloseTo((0.05 * Math.hypot(2, 1)) / 8, 9);
  });

  test('the dough’s own figures leave out what lies on it', () => {
    expect(made.perBase100g?.protein).toBeCloseTo(10, 9);
    expect(made.perBase100g?.salt).toBeCloseTo(0.5, 9);
    expect(made.starchSharePercent).toBeCloseTo(50, 9);
  });

  test('energy by the parts: 17 kJ a gram of starch, sugar and protein, 37 of fat, 8 of fibre', () => {
    const kjPer100g = 17 * 72 + 37 * 8 + 8 * 10;
    expect(made.energyKjPerBaked100g).toBeCloseTo((kjPer100g * 5) / 8, 6);
  });

  test('without a base there is no share of it, and an empty sheet weighs a gram', () => {
    const none = nutritionOf(of([dough()]), book, 0);
    expect([none.perBase100g, none.starchSharePercent, none.energyKjPerBaked100g]).toEqual([null, null, 0]);
  });
});

describe('yeast', () => {
  test('3 g instant and 9 g fresh are 18 g fresh; what is there in a kind needs no conversion', () => {
    const dose = yeastDose(of([dough(['instant-yeast', 3], ['fresh-yeast', 9])]), book, 450)!;
    expect(dose.freshG).toEqual({ value: 18, sd: 0.75 });
    expect(dose.freshPercent).toBe(4);
    expect(dose.kinds).toEqual(['instant-yeast', 'fresh-yeast']);
    expect(dose.as['instant-yeast'].g).toBeCloseTo(6, 9);
    expect(dose.as['active-dry-yeast'].g).toBeCloseTo(7.5, 9);
    // 9 g of fresh as instant: 3 g, give or take 0.25 g for each
    expect(dose.as['instant-yeast'].highG - 6).toBeCloseTo(1.2815515655 * 0.25, 6);
    expect(dose.as['fresh-yeast']).toEqual({
      g: 18,
      lowG: expect.closeTo(18 - 1.2815515655 * 0.75, 6) as number,
      highG: expect.closeTo(18 + 1.2815515655 * 0.75, 6) as number,
    });
  });

  test('twice the same is one dose; without flour no share; without yeast none', () => {
    const twice = of([{ ...dough(), lines: [line('fresh-yeast', 5, 'a'), line('fresh-yeast', 7, 'b')] }]);
    expect(yeastDose(twice, book, 0)).toMatchObject({ freshG: { value: 12, sd: 0 }, freshPercent: null });
    expect(yeastDose(of([dough(['flour', 5])]), book, 5)).toBeNull();
  });
});

describe('what is inside', () => {
  test('mixtures taken apart, with their line and whether they go into the dough', () => {
    const stages = [dough(['jar', 80], ['sand', 5]), onTop(['flour', 7])];
    const inside = insideFormula({ stages }, book);
    expect(inside.map(({ ingredient, massG, lineId, dough: into }) => [ingredient.id, massG, lineId, into])).toEqual([
      ['flour', 60, 'jar', true],
      ['starch', 20, 'jar', true],
      ['flour', 7, 'flour', false],
    ]); // prettier-ignore
    expect(insideFormula({ stages }, book)).toBe(inside);
    const other = new Map([...book].filter(([id]) => id !== 'jar'));
    expect(insideFormula({ stages }, other)).toHaveLength(1);
    expect(insideFormula({ stages }, book)).toEqual(inside);
  });

  test('a mixture of nothing is itself; what is unknown or holds itself is named', () => {
    expect(takeApart(book, 'bare', 5)).toMatchObject({ ok: true, value: [{ massG: 5 }] });
    expect(takeApart(book, 'sand', 5)).toEqual({
      ok: false,
      problem: { code: 'unknownIngredient', path: '', params: { ingredientId: 'sand' } },
    });
    expect(takeApart(book, 'loop', 5)).toEqual({
      ok: false,
      problem: { code: 'cycle', path: '', params: { ingredientId: 'loop' } },
    });
  });

  test('grams of each ingredient, wherever it stands', () => {
    const byId = massByIngredient(of([dough(['flour', 5], ['water', 3]), onTop(['flour', 2])]));
    expect([...byId]).toEqual([
      ['flour', 7],
      ['water', 3],
    ]);
  });
});

describe('totals', () => {
  test('flours apart from binders, unknown lines by name, water only where there is some', () => {
    const sums = formulaTotals(
      of([dough(['flour', 100], ['psyllium-husk', 10], ['salt', 2], ['sand', 5], ['fat', 4], ['water', 80])]),
      book,
    ); // prettier-ignore
    expect(sums.floursG).toBe(100);
    expect(sums.unknownLineIds).toEqual(['sand']);
    expect(sums.waterSources.map(({ lineId, poured }) => [lineId, poured])).toEqual([
      ['salt', false],
      ['water', true],
    ]);
    expect(formulaTotals(of([dough(['flour', 100])]), book).unknownLineIds).toEqual([]);
  });

  test('water inside a mixture is not poured; a jar counts as flour from four fifths on', () => {
    const sums = formulaTotals(of([dough(['flour', 100], ['jar', 50], ['sorghum-starter', 40])]), book);
    expect([...sums.baseLineIds]).toEqual(['flour', 'jar']);
    expect(sums.waterSources).toEqual([
      { lineId: 'sorghum-starter', ingredientId: 'sorghum-starter', waterG: expect.any(Number) as number, poured: false },
    ]); // prettier-ignore
  });
});

test('the weight a new ingredient starts with', () => {
  const first = (id: string, baseG: number, hydrationPoured: number | null = 0) =>
    firstMassG(book.get(id)!, { baseG, hydrationPoured });
  expect(first('tapioca-starch', 500)).toBe(100);
  expect(first('salt', 0)).toBe(100);
  expect(first('water', 500)).toBe(400);
  expect(first('water', 500, null)).toBe(400);
  expect(first('water', 500, 60)).toBe(50);
  const usual = (id: string) => {
    const { from, to } = book.get(id)!.usualShare!;
    return (from + to) / 2;
  };
  expect(first('salt', 500)).toBeCloseTo(Math.round(50 * usual('salt')) / 10, 9);
  expect(first('psyllium-husk', 1000)).toBe(Math.round(10 * usual('psyllium-husk')));
  expect(first('bits', 104)).toBe(10);
  expect(first('bits', 99)).toBeCloseTo(9.9, 9);
  expect(first('salt', 0.1)).toBe(0.1);
});

test('a sheet with nothing on it yet', () => {
  expect(emptyFormula('New', 'x')).toEqual({
    name: 'New',
    style: 'tinLoaf',
    about: '',
    percentBase: 'flours',
    stages: [{ id: 'x', kind: 'main', name: 'Dough', lines: [] }],
    steps: [],
    usualYield: { pieces: 1, pieceMassG: 900, bakeLossPercent: 12, bowlLossPercent: 1 },
  });
});

test('what is wrong with a whole formula, each with its path', () => {
  const many = <T>(count: number, make: (n: number) => T) => Array.from({ length: count }, (_, n) => make(n));
  const steps = [newStep('rest', 'r'), newStep('rest', 'r'), newStep('mix', 'm')];
  const problems = (formula: Formula) => checkFormula(formula, book);
  expect(problems(of([dough(['flour', 5])], { steps }))).toEqual([
    { code: 'duplicateId', path: 'steps', params: { id: 'r' } },
  ]);
  expect(problems(of([{ ...dough(), lines: [line('flour', 5, 'x'), line('water', 4, 'x')] }]))).toEqual([
    { code: 'duplicateId', path: 'stages', params: { id: 'x' } },
  ]);
  const empty = (n: number) => ({ ...dough(), id: `s${n}` });
  expect(problems(of(many(16, empty)))).toEqual([]);
  expect(problems(of(many(17, empty)))).toEqual([{ code: 'tooMany', path: 'stages', params: { max: 16 } }]);
  const long = (count: number) => of([dough(), { ...dough(), id: 'e', lines: many(count, (n) => line('flour', 1, `f${n}`)) }]); // prettier-ignore
  expect(problems(long(60))).toEqual([]);
  expect(problems(long(61))).toEqual([{ code: 'tooMany', path: 'stages.1.lines', params: { max: 60 } }]);
  expect(problems(of([dough(['flour', 5]), onTop(['flour', 1], ['sand', 5])]))).toContainEqual({
    code: 'unknownIngredient',
    path: 'stages.1.lines.1.ingredientId',
    params: { ingredientId: 'sand' },
  });
  expect(problems(of([dough(['egg-whole', 40], ['flour', 100], ['water', 500])]))).toEqual([
    { code: 'tooWet', path: 'stages.0.lines.2.massG', params: { percent: 530, max: 400 } },
  ]);
  expect(problems(of([dough(['flour', 100], ['water', 400])]))).toEqual([]);
  expect(problems(of([dough(['water', 400])]))).toEqual([]);
});

test('what changed in the method and the name', () => {
  const [mix, proof] = plainLoaf().steps as [Formula['steps'][number], Formula['steps'][number]];
  const to = {
    ...plainLoaf(),
    name: 'Plainer loaf',
    steps: [{ ...mix, minS: 400 }, newStep('bake', 'b'), newStep('cool', 'c')],
  };
  expect(compareFormulas(plainLoaf(), to)).toEqual([
    { kind: 'name', from: 'Plain loaf', to: 'Plainer loaf' },
    { kind: 'method', changed: 1, added: 2, removed: 1 },
  ]);
  expect(compareFormulas(plainLoaf(), { ...plainLoaf(), steps: [proof, mix] })).toEqual([
    { kind: 'method', changed: 0, added: 0, removed: 0 },
  ]);
});

describe('history', () => {
  const named = (name: string) => ({ ...plainLoaf(), name });
  const names = ({ past, present, future }: ReturnType<typeof startHistory>) => [
    past.map(({ name }) => name).join(),
    present.name,
    future.map(({ name }) => name).join(),
  ];

  test('steps back and forth, and what was ahead goes with a new step', () => {
    let now = startHistory(named('a'));
    for (const name of ['b', 'c', 'd']) now = record(now, named(name), null);
    expect(names(now)).toEqual(['a,b,c', 'd', '']);
    now = undo(undo(now));
    expect(names(now)).toEqual(['a', 'b', 'c,d']);
    now = redo(now);
    expect(names(now)).toEqual(['a,b', 'c', 'd']);
    expect(names(record(now, named('e'), null))).toEqual(['a,b,c', 'e', '']);
    expect(names(undo(undo(undo(now))))).toEqual(['', 'a', 'b,c,d']);
    expect(redo(startHistory(named('a')))).toEqual(startHistory(named('a')));
  });

  test('no change is no step; the first key in a cell is one, those after it fold into it', () => {
    const start = startHistory(named('a'));
    expect(record(start, start.present, null)).toBe(start);
    expect(settle(start)).toBe(start);
    const first = record(start, named('b'), 'name');
    expect(names(first)).toEqual(['a', 'b', '']);
    expect(names(record(first, named('c'), 'name'))).toEqual(['a', 'c', '']);
    expect(names(record(first, named('c'), 'other'))).toEqual(['a,b', 'c', '']);
    expect(names(record(settle(first), named('c'), 'name'))).toEqual(['a,b', 'c', '']);
    const undone = undo(first);
    expect(names(record({ ...undone, key: 'name' }, named('c'), 'name'))).toEqual(['a', 'c', '']);
  });

  test('two hundred steps are kept', () => {
    let now = startHistory(named('start'));
    for (let n = 0; n < 205; n += 1) now = record(now, named(`n${n}`), null);
    expect([now.past.length, now.past[0]!.name]).toEqual([200, 'n4']);
  });
});

test('a size is read from the words of a method only where none is stated', () => {
  const shape = { ...newStep('shape', 's'), title: 'Balls, touching', note: '' };
  const rolls = { ...plainLoaf(), style: 'rolls' as const, steps: [shape] };
  const read = (formula: unknown) => (sizeFromWords(formula as Formula) as { bakedAs?: object }).bakedAs;
  const elsewhere = { ...shape, kind: 'mix' as const, title: 'until the edges are touching' };
  expect(read({ ...rolls, style: 'nonsense' })).toBeUndefined();
  expect(read({ ...rolls, style: 7 })).toBeUndefined();
  expect(read({ ...rolls, steps: 'none' })).toBeUndefined();
  expect(read({ ...plainLoaf(), steps: [shape] })).toBeUndefined();
  expect(JSON.stringify(read(rolls))).toEqual(JSON.stringify(read({ ...rolls, steps: [elsewhere, shape] })));
});
