import { emptyFormula, type Formula } from '../formula';
import { nutritionOf } from '../formula/nutrition';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { newStep } from '../method';
import type { Result } from '../result';
import {
  readFormulaCsv,
  readRecipeJsonLd,
  writeFormulaCsv,
  writeFormulaMarkdown,
  writeRecipeJsonLd,
} from '.';
import { lossesOf, type Loss } from './loss';
import { readJson } from './readJson';
import { readText } from './readText';

/** What is written to the letter, and what is understood to the gram. */
const rolls: Formula = {
  ...emptyFormula('Rolls #1', 'd'),
  about: 'For *Sunday*.\nKeep some.',
  stages: [
    {
      id: 'd',
      kind: 'main',
      name: 'Dough',
      lines: [
        { ...line('white-rice-flour', 200.125), note: 'sifted' },
        line('water', 150),
        { ...line('own-gone', 3), note: '=1+1' },
      ],
    },
    { id: 't', kind: 'topping', name: '', lines: [line('poppy-seed', 10)] },
  ],
  steps: [
    {
      ...newStep('mix', 'm'),
      title: 'Stir',
      minS: 300,
      maxS: 600,
      tempC: 26.5,
      until: 'even',
      note: 'By hand',
    },
    { ...newStep('bake', 'b'), minS: 3580, maxS: null },
    newStep('cool', 'c'),
  ],
  usualYield: { pieces: 6, pieceMassG: 59.6, bakeLossPercent: 12, bowlLossPercent: 0 },
};
const word = (kind: string) => (kind === 'cool' ? '' : `A ${kind}`);

test('markdown, to the letter', () => {
  expect(writeFormulaMarkdown(rolls, libraryBook, word).text).toBe(
    [
      '# Rolls \\#1',
      '',
      '## Ingredients',
      '',
      '### Dough',
      '',
      '- 200.13 g White rice flour, sifted',
      '- 150 g Water',
      '- 3 g own-gone, =1+1',
      '',
      '### Part',
      '',
      '- 10 g Poppy seed',
      '',
      '## Method',
      '',
      '1. Stir 5 – 10 min at 26.5 °C. Until even. By hand',
      '2. A bake 59 min 40 s.',
      '3. cool.',
      '',
      '## Notes',
      '',
      'For \\*Sunday\\*.',
      'Keep some.',
      '',
    ].join('\n'),
  );
  const bare = { ...rolls, about: '', steps: [], stages: rolls.stages.slice(1) };
  expect(writeFormulaMarkdown(bare, libraryBook, word).text).toBe(
    '# Rolls \\#1\n\n## Ingredients\n\n- 10 g Poppy seed\n',
  );
  const lines = {
    ...bare,
    stages: [{ ...bare.stages[0]!, lines: [{ ...line('water', 1), note: 'a \n  b' }] }],
  };
  expect(writeFormulaMarkdown(lines, libraryBook, word).text).toContain('- 1 g Water, a b\n');
});

test('CSV, to the letter', () => {
  expect(writeFormulaCsv(rolls, libraryBook).text).toBe(
    [
      'part,kind,ingredient,id,grams,percent,note',
      'Dough,main,White rice flour,white-rice-flour,200.125,100.00,sifted',
      'Dough,main,Water,water,150,74.95,',
      `Dough,main,own-gone,own-gone,3,1.50,'=1+1`,
      ',topping,Poppy seed,poppy-seed,10,5.00,',
      '',
    ].join('\r\n'),
  );
  const dry = { ...rolls, stages: [{ ...rolls.stages[0]!, name: "'quoted'", lines: [line('water', 5)] }] };
  expect(writeFormulaCsv(dry, libraryBook).text.split('\r\n')[1]).toBe("''quoted',main,Water,water,5,,");
});

test('recipe data, to the letter', () => {
  expect(JSON.parse(writeRecipeJsonLd(rolls, libraryBook, word).text)).toEqual({
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Rolls #1',
    description: 'For *Sunday*.\nKeep some.',
    recipeYield: '6 × 60 g of dough',
    // ten minutes and 59 min 40 s: rounded before it is parted into hours
    prepTime: 'PT0H10M',
    cookTime: 'PT1H0M',
    totalTime: 'PT1H10M',
    recipeIngredient: [
      '200.13 g White rice flour, sifted',
      '150 g Water',
      '3 g own-gone, =1+1',
      '10 g Poppy seed',
    ],
    recipeInstructions: [
      { '@type': 'HowToStep', name: 'Stir', text: 'Stir 5 – 10 min at 26.5 °C. Until even. By hand' },
      { '@type': 'HowToStep', text: 'A bake 59 min 40 s.' },
      { '@type': 'HowToStep', text: 'cool.' },
    ],
  });
  const bare = JSON.parse(
    writeRecipeJsonLd({ ...rolls, about: '', steps: [] }, libraryBook, word).text,
  ) as object;
  expect(Object.keys(bare)).toEqual(['@context', '@type', 'name', 'recipeYield', 'recipeIngredient', 'recipeInstructions']); // prettier-ignore
  expect(writeRecipeJsonLd(rolls, libraryBook, word).text).toMatch(/^\{\n {2}"@context".*\}\n$/s);
});

test('recipe data says what 100 g hold, as the sheet does; not where an ingredient is nobody’s', () => {
  const { nutrition } = JSON.parse(writeRecipeJsonLd(plainLoaf(), libraryBook, word).text) as {
    nutrition: Record<string, string>;
  };
  const { perBaked100g: per, energyKjPerBaked100g } = nutritionOf(plainLoaf(), libraryBook, 500);
  expect(nutrition).toMatchObject({
    '@type': 'NutritionInformation',
    servingSize: '100 g',
    fatContent: `${per.fat.value.toFixed(1)} g`,
  });
  expect(parseFloat(nutrition.calories!)).toBeCloseTo(energyKjPerBaked100g / 4.184, 0);
  // 39.3 % of salt is sodium
  expect(parseFloat(nutrition.sodiumContent!)).toBeCloseTo(per.salt.value * 393.4, 0);
  expect(JSON.parse(writeRecipeJsonLd(rolls, libraryBook, word).text)).not.toHaveProperty('nutrition');
});

test('what a format cannot carry, only where the sheet has it', () => {
  const all: Loss[] = ['percentBase', 'usualYield', 'partKinds', 'method', 'stepDetails', 'ownIngredients', 'measured', 'about', 'style', 'roundedGrams']; // prettier-ignore
  const main = { ...rolls.stages[0]!, lines: [line('water', 5), line('salt', 1.25)] };
  const least: Formula = { ...rolls, about: '', steps: [], stages: [main] };
  const also = (part: Partial<Formula>) =>
    lossesOf({ ...least, ...part }, all).filter((loss) => loss !== 'usualYield' && loss !== 'style');
  expect(lossesOf(least, all)).toEqual(['usualYield', 'style']);
  expect(lossesOf(rolls, ['style'])).toEqual(['style']);
  expect(also({ percentBase: 'floursAndBinders' })).toEqual(['percentBase']);
  expect(also({ stages: [main, { ...main, id: 't', kind: 'topping' }] })).toEqual(['partKinds']);
  expect(also({ about: 'x' })).toEqual(['about']);
  const plain = { ...newStep('rest', 'r'), handsOn: false };
  expect(also({ steps: [plain] })).toEqual(['method']);
  for (const part of [{ until: 'x' }, { tempC: 20 }, { minS: 5 }, { handsOn: true }])
    expect(also({ steps: [plain, { ...plain, id: 's', ...part }] })).toEqual(['method', 'stepDetails']);
  const lines = (...more: typeof main.lines) =>
    also({ stages: [{ ...main, lines: [...main.lines, ...more] }] });
  expect(lines(line('own-x', 1))).toEqual(['ownIngredients']);
  expect(lines({ ...line('water', 1, 'w'), measured: { said: 'a cup', lowG: 1, highG: 2 } })).toEqual([
    'measured',
  ]);
  expect(lines(line('sugar', 1.234))).toEqual(['roundedGrams']);
  expect(lines(line('sugar', 0.07))).toEqual([]);
});

const csv = (text: string) => readFormulaCsv(text, libraryBook);
const problem = (result: Result<unknown>) => (result.ok ? null : result.problem);

test.each<[string, string, object]>([
  ['nothing', ' \n ', { code: 'required', path: 'file' }],
  ['two million letters', 'x'.repeat(2_000_001), { code: 'tooLong', path: 'file', params: { max: 2_000_000 } }],
  ['five thousand lines', 'ingredient,grams\n'.repeat(5001), { code: 'tooMany', path: 'file', params: { max: 5000 } }],
  ['an open quote', 'ingredient,grams\n"water,5', { code: 'notText', path: 'row.2' }],
  ['a quote in the middle', 'ingredient,grams\n"wa"ter,5', { code: 'notText', path: 'row.2' }],
  ['a head without end', `ingredient,grams${',x'.repeat(59)}`, { code: 'tooMany', path: 'row.1', params: { max: 60 } }],
  ['no ingredient', 'part,grams\na,5', { code: 'wrongFormat', path: 'row.1' }],
  ['no grams', 'ingredient,part\nwater,a', { code: 'wrongFormat', path: 'row.1' }],
  ['a row without end', `ingredient,grams\nwater,5${',x'.repeat(59)}`, { code: 'tooMany', path: 'row.2', params: { max: 60 } }],
  ['a long cell', `ingredient,grams\n${'x'.repeat(401)},5`, { code: 'tooLong', path: 'row.2.ingredient', params: { max: 400 } }],
  ['a long cell beyond the head', `ingredient,grams\nwater,5,${'x'.repeat(401)}`, { code: 'tooLong', path: 'row.2.3', params: { max: 400 } }],
  ['a cell that runs', 'ingredient,grams\n=water,5', { code: 'formulaCell', path: 'row.2.ingredient' }],
  ['a cell that runs beyond the head', 'ingredient,grams\nwater,5,=x', { code: 'formulaCell', path: 'row.2.3' }],
  ['a bell', 'ingredient,grams\nwa\u0007ter,5', { code: 'control', path: 'row.2.ingredient' }],
  ['a bell beyond the head', 'ingredient,grams\nwater,5,\u0007', { code: 'control', path: 'row.2.3' }],
  ['two lines in a cell', 'ingredient,grams\n"wa\nter",5', { code: 'control', path: 'row.2.ingredient' }],
  ['no number', 'ingredient,grams\nwater,some', { code: 'notANumber', path: 'row.2.grams' }],
  ['no weight', 'ingredient,grams\nwater,', { code: 'required', path: 'row.2.grams' }],
  ['less than no weight', 'ingredient,grams\nwater,-5', { code: 'tooSmall', path: 'row.2.grams', params: { min: 0.01 } }],
  ['a long part', `ingredient,grams,part\nwater,5,${'x'.repeat(41)}`, { code: 'tooLong', path: 'row.2.part', params: { max: 40 } }],
  ['only a head', 'ingredient,grams\n\n', { code: 'required', path: 'file' }],
])('CSV with %s is refused at its place', (_, text, expected) => {
  expect(problem(csv(text))).toEqual(expected);
}); // prettier-ignore

test('CSV is read to the gram, part by part, with a question where a name is not sure', () => {
  const read = csv(
    [
      'Part , Kind, ID, Ingredient, Weight (g), Note',
      'Dough,main,white-rice-flour,Whatever,200.5 g,sifted',
      'Dough,main,,water,150G,',
      'Dough,late,water,,5,',
      ',,nobody-knows,,1,',
      ',,,nonsense,2,',
      ',,,,,',
      "Top,topping,,poppy seed,10,'=x",
    ].join('\r\n'),
  );
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  const { parts, lines, ...rest } = read.value;
  expect(rest).toEqual({
    title: null, steps: [], stepAsks: [], makes: { pieces: null, pieceMassG: null }, yieldText: null, notes: [], contradictions: [],
  }); // prettier-ignore
  expect(lines[0]).toEqual({
    number: 2,
    text: 'Dough, main, white-rice-flour, Whatever, 200.5 g, sifted',
    role: 'ingredient',
  });
  expect(lines.map(({ number }) => number)).toEqual([2, 3, 4, 5, 6, 8]);
  expect(
    parts.map(({ name, kind, items }) => [name, kind, items.map(({ ingredientId, weighed }) => [ingredientId, weighed?.massG])]),
  ).toEqual([
    ['Dough', 'main', [['white-rice-flour', 200.5], ['water', 150]]],
    ['Dough', 'late', [['water', 5]]],
    ['', 'main', [[null, 1], [null, 2]]],
    ['Top', 'topping', [['poppy-seed', 10]]],
  ]); // prettier-ignore
  const [flour] = parts[0]!.items;
  expect(flour).toMatchObject({
    text: '200.5 g Whatever',
    candidates: [],
    note: 'sifted',
    asks: [],
    readings: [{ written: '200.5 g', weighed: { massG: 200.5, lowG: 200.5, highG: 200.5, by: 'mass' } }],
    weighed: { by: 'mass', lowG: 200.5, highG: 200.5 },
    percent: null,
  });
  expect(parts[2]!.items.map(({ text, asks }) => [text, asks])).toEqual([
    ['1 g nobody-knows', ['unknown']],
    ['2 g nonsense', ['unknown']],
  ]);
  expect(parts[3]!.items[0]!.note).toBe('=x');
  const which = csv('ingredient,grams\npsyllium,5');
  expect(which.ok && which.value.parts[0]!.items[0]).toMatchObject({ ingredientId: null, asks: ['which'] });
  expect(which.ok && which.value.parts[0]!.items[0]!.candidates.length).toBeGreaterThan(1);
  expect(csv(`ingredient,grams${',x'.repeat(58)}\nwater,5${',x'.repeat(58)}`).ok).toBe(true);
  expect(csv(`ingredient,grams,note\nwater,+5,${'x'.repeat(400)}`).ok).toBe(true);
});

const data = (recipe: object) => readRecipeJsonLd(JSON.stringify(recipe), libraryBook, 'metric', () => 'id');
const recipe = (part: object) => ({
  '@type': 'Recipe',
  name: 'Loaf',
  recipeIngredient: ['500 g rice flour'],
  ...part,
});
const reading = (part: object) => {
  const read = data(recipe(part));
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  return read.value.reading;
};

test('recipe data: where a recipe is found, what of it is read, what is left', () => {
  const found = (json: object) => data(json).ok;
  expect(found(recipe({}))).toBe(true);
  expect(found(recipe({ '@type': ['Thing', 'Recipe'] }))).toBe(true);
  expect(found([{ '@type': 'Thing' }, recipe({})])).toBe(true);
  expect(found({ '@graph': [null, 5, recipe({})] })).toBe(true);
  expect(problem(data({ '@type': 'Thing' }))).toEqual({ code: 'wrongFormat', path: '@type' });
  expect(problem(data(recipe({ recipeIngredient: [] })))).toEqual({
    code: 'required',
    path: 'recipeIngredient',
  });
  expect(problem(data(recipe({ recipeIngredient: ['a', 'b\u0007'] })))).toEqual({
    code: 'control',
    path: 'recipeIngredient.1',
  });
  expect(problem(data(recipe({ recipeIngredient: ['\u0007'] })))).toMatchObject({
    path: 'recipeIngredient.0',
  });
  const read = data(recipe({ image: 'x', author: 'y', '@id': 'z' }));
  expect(read.ok && read.value.left).toEqual(['image', 'author']);
  expect(reading({ recipeIngredient: '200 g millet flour' }).parts[0]!.items).toHaveLength(1);
  expect(reading({ recipeIngredient: undefined, ingredients: ['1 g salt'] }).parts[0]!.items[0]!.text).toBe('1 g salt'); // prettier-ignore
});

test('recipe data: yields, names, descriptions, markup', () => {
  expect(reading({ recipeYield: 4 }).yieldText).toBe('4');
  expect(reading({ recipeYield: ['2 loaves', '12 slices'] }).yieldText).toBe('2 loaves');
  expect(reading({}).yieldText).toBeNull();
  expect(reading({ name: '<b>Tin &amp;&nbsp;loaf</b>   one' }).title).toBe('Tin & loaf one');
  expect(reading({ name: 5 }).title).toBe('Recipe without a name');
  expect(reading({ description: 'Good &frac12; toasted.' }).notes).toEqual(['Good ½ toasted.']);
  expect(reading({}).notes).toEqual([]);
  expect(reading({ recipeIngredient: ['200 g\nmillet flour'] }).parts[0]!.items[0]!.text).toBe('200 g millet flour'); // prettier-ignore
});

test('recipe data: instructions in every shape there is', () => {
  const notes = (recipeInstructions: unknown) =>
    reading({ recipeInstructions }).steps.map(({ note }) => note);
  expect(notes('Mix it well.\n\n  Bake it long. ')).toEqual(['Mix it well.', 'Bake it long.']);
  expect(notes(['Mix it well.', '', 'Bake it long.'])).toEqual(['Mix it well.', 'Bake it long.']);
  expect(notes([{ text: 'Mix it well.', name: 'Mixing' }, { name: 'Bake it long.' }, 7, {}])).toEqual([
    'Mix it well.',
    'Bake it long.',
  ]);
  const section = { '@type': 'HowToSection', name: 'First day', itemListElement: [{ text: 'Mix it well.' }] };
  expect(notes([section, 'Bake it long.'])).toEqual(
    expect.arrayContaining(['Mix it well.', 'Bake it long.']),
  );
  const deep = (levels: number): unknown => (levels === 0 ? 'Mix it well.' : [deep(levels - 1)]);
  expect(notes(deep(6))).toEqual(['Mix it well.']);
  expect(notes(deep(7))).toEqual([]);
  const nested = (levels: number): unknown =>
    levels === 0 ? 'Mix it well.' : { itemListElement: nested(levels - 1) };
  expect(notes(nested(7))).toEqual([]);
});

test('what a text is, is seen by looking at it', () => {
  const read = (text: string) => {
    const made = readText(text, libraryBook, 'metric', () => 'id');
    return made.ok ? made.value : made.problem;
  };
  const ours = '\uFEFF  {"format": "honest-crumb.formula"}';
  expect(read(ours)).toEqual({ as: 'ours', text: ours });
  expect(read(`{"x": "${'y'.repeat(2000)}", "format": "honest-crumb.formula"}`)).toMatchObject({ code: 'wrongFormat' }); // prettier-ignore
  expect(read(JSON.stringify(recipe({ image: 'x' })))).toMatchObject({ as: 'recipeData', left: ['image'] });
  expect(read('Ingredient;Grams\r\nwater;5')).toMatchObject({
    as: 'table',
    left: [],
    reading: { parts: [{}] },
  });
  expect(read('name\tamount\nwater\t5')).toMatchObject({ as: 'table' });
  expect(read('ingredient,part\nwater,5')).toMatchObject({ as: 'recipe' });
  expect(read('Ingredient grams\nwater 5 g')).toMatchObject({ as: 'recipe' });
  expect(read('Bread, the good one\n\n200 g millet flour')).toMatchObject({ as: 'recipe', left: [] });
  expect(read('Bread [best]\n\n200 g millet flour')).toMatchObject({ as: 'recipe', reading: { title: 'Bread [best]' } }); // prettier-ignore
  expect(read('ingredient,grams')).toMatchObject({ code: 'required' });
});

test('JSON from a file: depth, marks, and where it breaks', () => {
  const at = (text: string) => problem(readJson(text));
  expect(readJson('\uFEFF[1]')).toEqual({ ok: true, value: [1] });
  expect(readJson('{"a\uFEFF": 1}')).toEqual({ ok: true, value: { 'a\uFEFF': 1 } });
  expect(at(' \n ')).toEqual({ code: 'required', path: 'file' });
  expect(readJson('[' + '1'.repeat(1_999_998) + ']').ok).toBe(true);
  expect(at('x'.repeat(2_000_001))).toEqual({ code: 'tooLong', path: 'file', params: { max: 2_000_000 } });
  const deep = (levels: number) => '['.repeat(levels) + ']'.repeat(levels);
  expect(at(deep(40))).toBeNull();
  expect(at(deep(41))).toEqual({ code: 'tooDeep', path: 'file', params: { max: 40 } });
  expect(at('[' + '[],'.repeat(60) + '{"a":{}}' + ',{}'.repeat(60) + ']')).toBeNull();
  // brackets inside a text nest nothing, an escaped quote does not end it
  expect(at(`["${'['.repeat(60)}"]`)).toBeNull();
  expect(at(`["\\"${'['.repeat(60)}"]`)).toBeNull();
  expect(at(`["a", ${deep(41)}]`)).toMatchObject({ code: 'tooDeep' });
  const broken = (text: string) => at(text)?.params;
  expect(broken('{"a": x}')).toEqual({ line: 1, column: 7 });
  expect(broken('{"a": 1,\n\n "b" 2}')).toEqual({ line: 3, column: 6 });
  expect(broken('[1,\n2')).toEqual({ line: 2, column: 2 });
  expect(broken('[1,\n 2 // no\n]')).toEqual({ line: 2, column: 4 });
});
