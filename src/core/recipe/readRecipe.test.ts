import fc from 'fast-check';
import { checkFormula } from '../formula';
import { libraryBook } from '../ingredients';
import { readRecipe, sheetOfRecipe, type RecipeReading } from '.';
import { yieldIn } from './yieldIn';

const ids = () => {
  let next = 0;
  return () => `n${next++}`;
};
function read(text: string): RecipeReading {
  const reading = readRecipe(text, libraryBook, 'us', ids());
  if (!reading.ok) throw new Error(JSON.stringify(reading.problem));
  return reading.value;
}
const items = (reading: RecipeReading) =>
  reading.parts.flatMap((part) =>
    part.items.map((item) => [part.kind, item.ingredientId, Math.round(item.weighed?.massG ?? 0)]),
  );

const MIXED = `Harbour Lane tin loaf
Makes 1 loaf of about 900 g

For the starter:
60 g brown rice starter
60 g water

Dry ingredients
1 1/2 cups (230 g) white rice flour
120 g tapioca starch
2 tbsp psyllium husk
1 tsp salt

Wet:
2 large eggs
1 ¼ cups warm water
2 tbsp oil

Method
1. Whisk the dry ingredients. Pour in the water and mix for 5 minutes.
2. Let it rest for 30-40 min until thick.
3. Preheat the oven to 425 °F / 220 °C.
4. Proof 1 hour 15 minutes at 28 °C, then bake at 350 °F / 220 °C for 50 minutes.

Notes
Keeps two days.`;

test('a list numbered without marks is a method where things are done in it, not where they are listed', () => {
  const bare = read(
    'Flats\n200 g rice flour\n180 g water\n1 Mix 8 min\n2 Rest 20 min\n3 Bake 12 min at 230 °C',
  );
  expect(bare.steps.map(({ kind }) => kind)).toEqual(['mix', 'rest', 'bake']);
  const listed = read('Flats\n1 Butter\n2 Eggs\n200 g white rice flour');
  expect(listed.steps).toEqual([]);
  expect(items(listed).map(([, id]) => id)).toEqual(['butter', 'egg-whole', 'white-rice-flour']);
});

test.each([
  ['Flats x12', 12],
  ['Flats (6 x 110 g)', 6],
  ['batch of 12', 12],
  ['Tray 40 x 60', null],
  ['Slab 30 x40 cm', null],
])('how many %s makes', (title, pieces) => {
  expect(yieldIn(title, null, { pieces: null, pieceMassG: null }, []).pieces).toBe(pieces);
});

test('a recipe with parts, mixed units, a method and a slip in its temperatures', () => {
  const reading = read(MIXED);
  expect(reading.title).toBe('Harbour Lane tin loaf');
  expect(reading.yieldText).toBe('Makes 1 loaf of about 900 g');
  expect(items(reading)).toEqual([
    ['starter', 'rice-starter', 60],
    ['starter', 'water', 60],
    ['main', 'white-rice-flour', 230],
    ['main', 'tapioca-starch', 120],
    ['main', 'psyllium-husk', 10],
    ['main', 'salt', 6],
    ['main', 'egg-whole', 100],
    ['main', 'water', 296],
    ['main', null, 0],
  ]);
  expect(reading.parts.map(({ name }) => name)).toEqual(['For the starter', 'Dry ingredients', 'Wet']);
  expect(reading.contradictions).toHaveLength(1);
  expect(reading.contradictions[0]).toMatchObject({ written: '350 °F / 220 °C', secondC: 220 });
  expect(reading.steps.map(({ kind, minS, maxS, tempC }) => [kind, minS, maxS, tempC])).toEqual([
    ['mix', 300, null, null],
    ['rest', 1800, 2400, null],
    ['preheat', null, null, 220],
    ['proof', 4500, null, 28],
    ['bake', 3000, null, null],
  ]);
  // said outside the method it is a slip all the same
  expect(read('Loaf\nBake at 350 °F / 220 °C\n\n100 g millet flour').contradictions).toHaveLength(1);
  expect(reading.notes).toEqual(['Keeps two days.']);
});

test('the sheet waits for the open question, then holds every line', () => {
  const reading = read(MIXED);
  const oil = reading.parts.flatMap((part) => part.items).find((item) => /oil/.test(item.text))!;
  expect(oil.asks).toEqual(['which']);
  expect(sheetOfRecipe(reading, new Map(), libraryBook, ids()).open).toEqual([oil.number]);
  const answered = sheetOfRecipe(
    reading,
    new Map([[oil.number, { ingredientId: 'olive-oil', massG: 27 }]]),
    libraryBook,
    ids(),
  );
  expect(answered.open).toEqual([]);
  expect(checkFormula(answered.formula, libraryBook)).toEqual([]);
  const crowd = sheetOfRecipe(read('200 g millet flour\n'.repeat(61)), new Map(), libraryBook, ids());
  expect(checkFormula(crowd.formula, libraryBook)).toMatchObject([
    { code: 'tooMany', path: 'stages.0.lines' },
  ]);
  expect(answered.formula.stages.flatMap((stage) => stage.lines)).toHaveLength(9);
  expect(answered.formula.about).toContain('Keeps two days.');
  const without = sheetOfRecipe(reading, new Map([[oil.number, { leaveOut: true }]]), libraryBook, ids());
  expect(without.open).toEqual([]);
  expect(without.formula.about).toContain('Not in the formula: 2 tbsp oil');
});

test('other layouts: markdown, a table with percentages, no headings at all, windows line ends', () => {
  const markdown = read(
    '\uFEFF# Quiet rolls\r\n\r\n## Ingredients\r\n- 250 g sorghum flour\r\n- 220 g water\r\n\r\n## Method\r\n\r\n- Mix 4 min.\r\n- Bake 25 min at 220 °C.\r\n',
  );
  expect(markdown.title).toBe('Quiet rolls');
  expect(items(markdown)).toEqual([
    ['main', 'sorghum-flour', 250],
    ['main', 'water', 220],
  ]);
  expect(markdown.steps.map(({ kind, minS }) => [kind, minS])).toEqual([
    ['mix', 240],
    ['bake', 1500],
  ]);

  const table = read(
    'Flat one\nIngredient | weight | %\n---|---|---\nMillet flour | 300 g | 60 %\nPotato starch | 200 g | 30 %\nWater | 400 g | 80 %',
  );
  expect(sheetOfRecipe(table, new Map(), libraryBook, ids()).percentOff).toEqual([
    { number: 5, written: 30, is: 40 },
  ]);

  const percents = read('White rice flour 60%\nTapioca starch 40%\nWater 95%\nSalt 2%');
  const sheet = sheetOfRecipe(percents, new Map(), libraryBook, ids());
  expect(sheet.open).toEqual([]);
  expect(sheet.assumedBaseG).toBe(500);
  expect(sheet.formula.stages[0]!.lines.map(({ massG }) => massG)).toEqual([300, 200, 475, 10]);

  const plain = read(
    '200 g teff flour\n150 g water\nStir the water into the flour and let it stand until it no longer looks wet at all.',
  );
  expect(items(plain)).toHaveLength(2);
  expect(plain.steps.map(({ kind }) => kind)).toEqual(['mix', 'rest']);
});

test('every line that is not blank has a place, whatever the text; limits are named with their line', () => {
  const word = fc.constantFrom(
    'Ingredients',
    'Method:',
    '200 g rice flour',
    '1. Mix it well.',
    '## Topping',
    'For the glaze',
    'Notes',
    'a',
    'Makes 4',
    '| x | y |',
    '- ',
    '½ cup',
    '350 °F / 220 °C',
    'Bake for 1/2 hour',
    '🍞',
  );
  fc.assert(
    fc.property(fc.array(fc.oneof(word, fc.string()), { maxLength: 25 }), (texts) => {
      const text = texts.join('\n');
      const reading = readRecipe(text, libraryBook, 'metric', ids());
      if (!reading.ok) return;
      const placed = new Set(reading.value.lines.map(({ number }) => number));
      text
        .replace(/^\uFEFF/, '')
        .replace(/\r\n?/g, '\n')
        .split('\n')
        .forEach((line, index) => {
          if (/[\p{L}\d]/u.test(line)) expect([line, placed.has(index + 1)]).toEqual([line, true]);
        });
      const asked = reading.value.parts.flatMap((part) => part.items).length;
      expect(asked).toBe(reading.value.lines.filter(({ role }) => role === 'ingredient').length);
    }),
    { numRuns: 400 },
  );
  const refused = (text: string) => {
    const reading = readRecipe(text, libraryBook, 'us', ids());
    return reading.ok ? null : [reading.problem.code, reading.problem.path];
  };
  expect(refused('')).toEqual(['required', 'text']);
  expect(refused('x\n'.repeat(50_000))).toEqual(['tooLong', 'text']);
  expect(refused('\n'.repeat(2000))).toEqual(['tooMany', 'text']);
  expect(refused('fine\nbad\u0000line')).toEqual(['control', 'line.2']);
  expect(refused(`ok\n${'y'.repeat(4000)}`)).toEqual(['tooLong', 'line.2']);
});

test('what a sheet has no room for goes where there is room, and what is cut is counted', () => {
  const remark = 'as the neighbour does it '.repeat(8).trim();
  const wordy = read(
    `Loaf\n\n200 g millet flour (${remark})\n150 g water\n\nNotes\n${'words '.repeat(490)}\n${'words '.repeat(490)}`,
  );
  const sheet = sheetOfRecipe(wordy, new Map(), libraryBook, ids());
  expect(sheet.formula.stages[0]!.lines[0]!.note).toBe('');
  expect(sheet.formula.about.length).toBe(4000);
  expect(sheet.cutLetters).toBeGreaterThan(1500);
  const short = sheetOfRecipe(
    read(`Loaf\n\n200 g millet flour (${remark})\n150 g water`),
    new Map(),
    libraryBook,
    ids(),
  );
  expect(short.formula.about).toContain(remark);
  expect(short.cutLetters).toBe(0);
  const steps = Array.from({ length: 63 }, (_, n) => `${n + 1}. Bake ${n + 1} minutes.`).join('\n');
  const long = sheetOfRecipe(
    read(`Loaf\n\n200 g millet flour\n\nMethod\n${steps}`),
    new Map(),
    libraryBook,
    ids(),
  );
  expect(long.formula.steps).toHaveLength(60);
  expect(long.formula.about).toBe('Bake 61 minutes.\nBake 62 minutes.\nBake 63 minutes.');
});

test('a weight no sheet can hold is asked for, not bent to fit', () => {
  const reading = read('Loaf\n\n900 kg millet flour\n150 g water');
  expect(sheetOfRecipe(reading, new Map(), libraryBook, ids()).open).toEqual([3]);
  expect(sheetOfRecipe(reading, new Map([[3, { massG: 300 }]]), libraryBook, ids()).open).toEqual([]);
});

test.each([
  ['tabs', 'Brown rice flour\t200,5\nTapioca starch\t180\nWater\t410,25\nSalt\t8,5'],
  ['semicolons', 'Brown rice flour;200,5\nTapioca starch;180\nWater;410,25\nSalt;8,5'],
  ['the number first', '200,5\tBrown rice flour\n180\tTapioca starch\n410,25\tWater\n8,5\tSalt'],
])('a spreadsheet’s table without a heading, in the decimal comma: %s', (_, text) => {
  const read = readRecipe(text, libraryBook, 'metric', () => 'x');
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  expect(read.value.parts.flatMap(({ items }) => items).map(({ weighed }) => weighed?.massG)).toEqual([
    200.5, 180, 410.25, 8.5,
  ]);
});

test('one name with a number is no table: nobody can tell what it counts', () => {
  const read = readRecipe('Sunday rolls;4\n\n200 g brown rice flour', libraryBook, 'metric', () => 'x');
  expect(read.ok && read.value.title).toBe('Sunday rolls;4');
});
