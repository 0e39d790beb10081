import fc from 'fast-check';
import { ingredientLibrary, libraryBook } from '../ingredients';
import { readIngredientLine } from './readLine';

const read = (text: string) => readIngredientLine(text, libraryBook, 'us');

const GLYPHS = { '½': 0.5, '¼': 0.25, '¾': 0.75, '⅓': 1 / 3, '⅛': 0.125 } as const;

test('generated lines: what was put in comes out, in every layout', () => {
  const ids = [
    'white-rice-flour',
    'tapioca-starch',
    'psyllium-husk',
    'water',
    'salt',
    'honey',
    'olive-oil',
    'xanthan',
  ];
  const amounts = fc.oneof(
    fc.integer({ min: 1, max: 999 }).map((n) => [`${n}`, n] as const),
    fc.tuple(fc.integer({ min: 1, max: 9 }), fc.constantFrom(...(Object.keys(GLYPHS) as (keyof typeof GLYPHS)[])))
      .map(([n, glyph]) => [`${n}${glyph}`, n + GLYPHS[glyph]] as const),
    fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 7 })).map(([n, x]) => [`${n} ${x}/8`, n + x / 8] as const),
    fc.tuple(fc.integer({ min: 0, max: 99 }), fc.integer({ min: 1, max: 9 })).map(([n, x]) => [`${n},${x}`, n + x / 10] as const),
  ); // prettier-ignore
  const units = fc.constantFrom(['g', 1] as const, ['kg', 1000] as const, ['oz', 28.349523125] as const);
  const layouts = fc.constantFrom(
    (amount: string, unit: string, name: string) => `${amount} ${unit} ${name}`,
    (amount: string, unit: string, name: string) => `- ${amount}${unit} of ${name}, sifted`,
    (amount: string, unit: string, name: string) => `${name}: ${amount} ${unit}`,
    (amount: string, unit: string, name: string) => `| ${name} | ${amount} ${unit} |`,
    (amount: string, unit: string, name: string) => `${name} (${amount} ${unit})`,
  );
  fc.assert(
    fc.property(amounts, units, fc.constantFrom(...ids), layouts, ([said, value], [unit, g], id, layout) => {
      const line = read(layout(said, unit, libraryBook.get(id)!.name));
      expect(line.asks).toEqual([]);
      expect(line.ingredientId).toBe(id);
      expect(line.weighed!.massG).toBeCloseTo(value * g, 6);
    }),
    { numRuns: 1200 },
  );
});

test('no text makes it throw, and no amount comes from a text without a number', () => {
  const bits = fc.constantFrom(
    '1',
    '½',
    ',',
    '/',
    'cup',
    'g',
    '%',
    'egg',
    '(',
    ')',
    '-',
    '🍞',
    'rice flour',
    ' ',
    'x',
    '\u0301',
    'a',
    'half',
    '1/0',
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string({ unit: 'binary' }),
        fc.array(bits, { maxLength: 12 }).map((all) => all.join(' ')),
      ),
      (text) => {
        const line = read(text);
        if (line.weighed) {
          expect(Number.isFinite(line.weighed.massG) && line.weighed.massG > 0).toBe(true);
          expect(line.weighed.lowG).toBeLessThanOrEqual(line.weighed.massG + 1e-9);
          expect(line.weighed.highG).toBeGreaterThanOrEqual(line.weighed.massG - 1e-9);
          expect(text).toMatch(/\d|[½⅓⅔¼¾⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚]|\b(?:an?|half|one|two|dozen|quarter)\b/i);
        }
      },
    ),
    { numRuns: 1500 },
  );
});

test('every name of the library is read as itself, amount before or behind', () => {
  for (const { id, name } of ingredientLibrary) {
    for (const text of [`123 g ${name}`, `${name}: 123 g`, `123 g ${name}, at hand`]) {
      const line = read(text);
      const note = text.endsWith('hand') ? 'at hand' : '';
      expect([text, line.ingredientId, line.weighed?.massG, line.asks, line.note]).toEqual([
        text,
        id,
        123,
        [],
        note,
      ]);
    }
  }
});
