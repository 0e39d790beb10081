import fc from 'fast-check';
import papa from 'papaparse';
import { allLines, applyEdit, type Formula } from '../formula';
import { anyFormula, line, plainLoaf } from '../formula/testFormulas';
import { libraryBook, type KitchenEntry } from '../ingredients';
import { predict } from '../predict';
import { readRecipe, sheetOfRecipe, type RecipeReading } from '../recipe';
import type { Result } from '../result';
import {
  readFormulaCsv, readFormulaFile, readRecipeJsonLd, writeFormulaCsv, writeFormulaFile, writeFormulaMarkdown, writeRecipeJsonLd,
} from '.'; // prettier-ignore
import { readText } from './readText';
import exampleV1 from './fixtures/formula.v1.json';
import exampleV2 from './fixtures/formula.v2.json';

const ids = () => {
  let next = 0;
  return () => `n${next++}`;
};
const word = (kind: string) => kind[0]!.toUpperCase() + kind.slice(1);
const weights = (formula: Formula) =>
  allLines(formula).map((each) => [each.ingredientId, Number(each.massG.toFixed(2))]);
const sheet = (reading: RecipeReading) => sheetOfRecipe(reading, new Map(), libraryBook, ids());
const problem = (result: Result<unknown>) => (result.ok ? null : [result.problem.code, result.problem.path]);

const jar: KitchenEntry = {
  kind: 'blend', id: 'own-jar', name: 'House jar', alsoCalled: [], source: '', role: 'flour', densityGPerMl: null,
  parts: [{ ingredientId: 'white-rice-flour', massG: 600 }, { ingredientId: 'tapioca-starch', massG: 400 }],
}; // prettier-ignore
const sponge: KitchenEntry = {
  kind: 'blend', id: 'own-sponge', name: 'Sponge', alsoCalled: [], source: '', role: 'starter', densityGPerMl: null,
  parts: [{ ingredientId: 'own-jar', massG: 100 }, { ingredientId: 'water', massG: 120 }],
}; // prettier-ignore

test('our own format comes back number for number, with the ingredients it needs', () => {
  fc.assert(
    fc.property(anyFormula, (formula) => {
      const read = readFormulaFile(writeFormulaFile(formula, []), libraryBook);
      expect(read.ok && read.value.file.formula).toEqual(formula);
    }),
    { numRuns: 60 },
  );
  const own: Formula = {
    ...plainLoaf(),
    stages: [
      {
        id: 's',
        kind: 'main',
        name: 'Dough',
        lines: [
          { ...line('own-sponge', 220), measured: { said: '1 cup', lowG: 200, highG: 240 } },
          line('own-jar', 300),
          line('water', 200),
        ],
      },
    ],
  };
  const read = readFormulaFile(
    writeFormulaFile(own, [sponge, jar, { ...jar, id: 'own-unused' }]),
    libraryBook,
  );
  expect(read.ok && read.value.file.formula).toEqual(own);
  expect(read.ok && read.value.file.ingredients.map(({ id }) => id)).toEqual(['own-jar', 'own-sponge']);
  // taken apart through two blends: 220 g of sponge hold 100 g of jar
  expect(read.ok && predict(own, read.value.book).baseG).toBeCloseTo(400, 9);
});

test.each([exampleV1, exampleV2])('the older examples of the format are read for ever', (example) => {
  const read = readFormulaFile(JSON.stringify(example), libraryBook);
  expect(read.ok && read.value.file.formula.name).toBe('Millet weekday loaf');
  expect(read.ok && predict(read.value.file.formula, read.value.book).consistency?.rested.band).toBe('soft');
});

test('CSV, Markdown and JSON-LD come back with every ingredient; what is lost is listed', () => {
  fc.assert(
    fc.property(anyFormula, (formula) => {
      const tidy: Formula = {
        ...formula,
        stages: formula.stages.map((stage) => ({
          ...stage,
          lines: stage.lines.map((each) => ({
            ...each,
            massG: Math.max(0.01, Math.round(each.massG * 100) / 100),
          })),
        })),
      };
      const csv = writeFormulaCsv(formula, libraryBook);
      const back = readFormulaCsv(csv.text, libraryBook);
      if (!back.ok) throw new Error(JSON.stringify(back.problem));
      expect(
        sheet(back.value)
          .formula.stages.flatMap((stage) => stage.lines)
          .map(({ ingredientId, massG }) => [ingredientId, massG]),
      ).toEqual(allLines(formula).map(({ ingredientId, massG }) => [ingredientId, massG]));
      const markdown = readRecipe(
        writeFormulaMarkdown(tidy, libraryBook, word).text,
        libraryBook,
        'metric',
        ids(),
      );
      if (!markdown.ok) throw new Error(JSON.stringify(markdown.problem));
      expect(sheet(markdown.value).open).toEqual([]);
      expect(weights(sheet(markdown.value).formula)).toEqual(weights(tidy));
      const jsonLd = readRecipeJsonLd(
        writeRecipeJsonLd(tidy, libraryBook, word).text,
        libraryBook,
        'metric',
        ids(),
      );
      if (!jsonLd.ok) throw new Error(JSON.stringify(jsonLd.problem));
      expect(weights(sheet(jsonLd.value.reading).formula)).toEqual(weights(tidy));
    }),
    { numRuns: 60 },
  );
  const loaf = plainLoaf();
  expect(writeFormulaCsv(loaf, libraryBook).losses).toEqual(['style', 'usualYield', 'method']);
  expect(writeFormulaMarkdown(loaf, libraryBook, word).losses).toEqual([
    'style',
    'usualYield',
    'partKinds',
    'stepDetails',
  ]);
  const back = readRecipe(writeFormulaMarkdown(loaf, libraryBook, word).text, libraryBook, 'metric', ids());
  expect(back.ok && back.value.steps.map(({ kind, minS, maxS, tempC }) => [kind, minS, maxS, tempC])).toEqual(
    [
      ['mix', 300, null, 26],
      ['proof', 3600, 5400, 28],
    ],
  );
});

test('a recipe from elsewhere as JSON-LD: graphs, sections, markup; what has no place is named', () => {
  const data = {
    '@graph': [
      { '@type': 'Thing' },
      {
        '@type': ['Recipe', 'NewsArticle'], name: 'Gate loaf', image: 'x.png', recipeYield: ['1 loaf'], author: 'nobody',
        recipeIngredient: ['1&frac12; cups white rice flour', '<b>200 g</b> tapioca starch', '2 tbsp oil'],
        recipeInstructions: [{ '@type': 'HowToSection', name: 'Dough', itemListElement: [{ '@type': 'HowToStep', text: 'Mix for 5 minutes.' }] }],
      },
    ],
  }; // prettier-ignore
  const read = readRecipeJsonLd(`\uFEFF${JSON.stringify(data)}`, libraryBook, 'us', ids());
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  expect(read.value.left).toEqual(['image', 'author']);
  expect(read.value.reading.title).toBe('Gate loaf');
  expect(
    read.value.reading.parts[0]!.items.map((item) => [
      item.ingredientId,
      Math.round(item.weighed?.massG ?? 0),
      item.asks,
    ]),
  ).toEqual([
    ['white-rice-flour', 229, []],
    ['tapioca-starch', 200, []],
    [null, 0, ['which']],
  ]);
  expect(problem(readRecipeJsonLd('{"@type":"Car"}', libraryBook, 'us', ids()))).toEqual([
    'wrongFormat',
    '@type',
  ]);
  expect(problem(readRecipeJsonLd('{"@type":"Recipe","name":"x"}', libraryBook, 'us', ids()))).toEqual([
    'required',
    'recipeIngredient',
  ]);
});

test('bad files are refused at the place', () => {
  const good = writeFormulaFile(plainLoaf(), []);
  const at = (text: string) => problem(readFormulaFile(text, libraryBook));
  const changed = (change: (file: Record<string, unknown>) => void) => {
    const file = JSON.parse(good) as Record<string, unknown>;
    change(file);
    return at(JSON.stringify(file));
  };
  expect(at('')).toEqual(['required', 'file']);
  const truncated = readFormulaFile(good.slice(0, 200), libraryBook);
  expect(truncated).toMatchObject({ ok: false, problem: { code: 'notText', path: 'file' } });
  expect(truncated.ok ? 0 : Number(truncated.problem.params?.line)).toBeGreaterThan(5);
  expect(at('['.repeat(100_000))).toEqual(['tooDeep', 'file']);
  expect(at(`"${'x'.repeat(2_000_001)}"`)).toEqual(['tooLong', 'file']);
  expect(at(`\uFEFF${good.replace(/\n/g, '\r\n')}`)).toBeNull();
  expect(changed((file) => (file.version = 4))).toEqual(['wrongVersion', 'version']);
  expect(changed((file) => (file.version = '1'))).toEqual(['wrongVersion', 'version']);
  expect(changed((file) => (file.format = 'other'))).toEqual(['wrongFormat', 'format']);
  expect(changed((file) => (file.extra = 1))).toEqual(['notAllowed', '']);
  expect(
    changed((file) => (((file.formula as Formula).stages[0]!.lines[0]! as { massG: number }).massG = -1)),
  ).toEqual(['tooSmall', 'formula.stages.0.lines.0.massG']);
  expect(
    changed(
      (file) =>
        (((file.formula as Formula).stages[0]!.lines[0]! as { ingredientId: string }).ingredientId =
          'own-nothing'),
    ),
  ).toEqual(['unknownIngredient', 'formula.stages.0.lines.0.ingredientId']);
  expect(changed((file) => ((file.formula as { name: string }).name = 'a\u0000b'))).toEqual([
    'control',
    'formula.name',
  ]);
  const cyclic = [
    { ...jar, parts: [{ ingredientId: 'own-sponge', massG: 1 }] },
    { ...sponge, parts: [{ ingredientId: 'own-jar', massG: 1 }] },
  ];
  expect(changed((file) => (file.ingredients = cyclic))).toEqual(['cycle', 'ingredients.0.parts']);
  expect(changed((file) => (file.ingredients = [{ ...jar, parts: [] }]))).toEqual([
    'tooSmall',
    'ingredients.0.parts',
  ]);
  const poisoned = JSON.stringify({ ...(JSON.parse(good) as object) }).replace(
    '{',
    '{"__proto__":{"polluted":1},',
  );
  expect(at(poisoned)).toEqual(['notAllowed', '']);
  expect(({} as { polluted?: number }).polluted).toBeUndefined();

  const csv = (text: string) => problem(readFormulaCsv(text, libraryBook));
  expect(csv('ingredient,grams\n=cmd|x,5')).toEqual(['formulaCell', 'row.2.ingredient']);
  expect(csv('ingredient,grams\nwater,5\n@sum,2')).toEqual(['formulaCell', 'row.3.ingredient']);
  expect(csv('ingredient,grams\nwater,=1+1')).toEqual(['formulaCell', 'row.2.grams']);
  expect(csv('ingredient,grams\nwater,-5')).toEqual(['tooSmall', 'row.2.grams']);
  expect(csv('ingredient,grams\nwater,lots')).toEqual(['notANumber', 'row.2.grams']);
  expect(csv('a,b\n1,2')).toEqual(['wrongFormat', 'row.1']);
  expect(csv('ingredient,grams\n"water,5')).toEqual(['notText', 'row.2']);
  expect(csv(`ingredient,grams\n${'water,5\n'.repeat(50_000)}`)).toEqual(['tooMany', 'file']);
  expect(csv(`part,ingredient,grams\n${'x'.repeat(41)},water,5`)).toEqual(['tooLong', 'row.2.part']);
  expect(csv('\uFEFFIngredient;Weight (g)\r\nwater;12,5\r\n')).toBeNull();
});

test('a cell that a spreadsheet would run is written as text and comes back as it was', () => {
  const loaf = plainLoaf();
  const noted = applyEdit(
    loaf,
    { type: 'setLineNote', lineId: 'water', note: '=HYPERLINK("x")' },
    libraryBook,
  );
  if (!noted.ok) throw new Error();
  const { text } = writeFormulaCsv(noted.value, libraryBook);
  expect(text).toContain(`"'=HYPERLINK(""x"")"`);
  const back = readFormulaCsv(text, libraryBook);
  expect(back.ok && back.value.parts[0]!.items.find((item) => item.ingredientId === 'water')!.note).toBe(
    '=HYPERLINK("x")',
  );
});

test('no text makes a reader throw', () => {
  const bits = fc.constantFrom(
    '{',
    '[',
    '"',
    ',',
    '@type',
    'Recipe',
    'ingredient,grams',
    '\n',
    '\r\n',
    'water,5',
    '=1',
    '\uFEFF',
    ':',
    'null',
    '1e999',
    '\ud800',
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string({ unit: 'binary' }),
        fc.array(bits).map((all) => all.join('')),
      ),
      (text) => {
        for (const result of [
          readFormulaFile(text, libraryBook),
          readFormulaCsv(text, libraryBook),
          readRecipeJsonLd(text, libraryBook, 'us', ids()),
        ]) {
          expect(typeof result.ok).toBe('boolean');
        }
      },
    ),
    { numRuns: 400 },
  );
});

describe('a cell that a spreadsheet would run', () => {
  const starts = [
    '=',
    '+',
    '-',
    '@',
    '\t',
    ' =',
    '\u00a0=',
    '\u200b=',
    '\ufeff=',
    '\u3000+',
    '＝',
    '＋',
    '－',
    '＠',
    '−',
    "'",
    "'=",
  ];
  const withNote = (note: string): Formula => ({
    ...plainLoaf(),
    stages: plainLoaf().stages.map((stage, at) =>
      at > 0
        ? stage
        : { ...stage, lines: stage.lines.map((line, index) => (index > 0 ? line : { ...line, note })) },
    ),
  });

  // a tab is no letter of a note, and is refused before it gets so far
  test.each(starts.filter((start) => start !== '\t').map((start) => [JSON.stringify(start), start]))(
    'beginning with %s goes out as text and comes back as it was',
    (_, start) => {
      const note = `${start}cmd|x`;
      const { text } = writeFormulaCsv(withNote(note), libraryBook);
      for (const row of papa.parse(text.trim(), { skipEmptyLines: 'greedy' }).data.flat())
        expect(row).not.toMatch(/^[\s\u200b\ufeff\u00a0\u3000]*[=+\-@＝＋－＠−]\D/);
      const back = readFormulaCsv(text, libraryBook);
      expect(back.ok && back.value.parts[0]?.items[0]?.note).toBe(note);
    },
  );

  test('is refused in a file from elsewhere, wherever it hides', () => {
    for (const start of starts.filter((each) => !each.startsWith("'"))) {
      const read = readFormulaCsv(`ingredient,grams\n${start}cmd|x,5`, libraryBook);
      expect([start, read.ok ? null : read.problem.code]).toEqual([start, 'formulaCell']);
    }
  });
});

test('a million of anything is refused, or read like a recipe', () => {
  const recipe = (text: string) =>
    JSON.stringify({
      '@type': 'Recipe',
      name: 'x',
      recipeIngredient: ['200 g rice flour'],
      recipeInstructions: text,
    });
  const codes = (texts: readonly string[]) =>
    texts.map((text) => {
      const read = readText(text, libraryBook, 'metric', () => 'x');
      return read.ok ? 'ok' : read.problem.code;
    });
  expect(
    codes([
      recipe('<'.repeat(1_900_000)),
      recipe(`${' '.repeat(1_900_000)}x`),
      `ingredient,grams\n${'a,'.repeat(900_000)}`,
      `ingredient,grams\n${'a'.repeat(1_900_000)},5`,
      '['.repeat(1_000_000),
      '{"a":'.repeat(300_000),
      '1'.repeat(1_900_000),
      '1/2 '.repeat(400_000),
    ]),
  ).toEqual(['tooLong', 'ok', 'tooMany', 'tooLong', 'tooDeep', 'tooDeep', 'tooLong', 'tooLong']);
});
