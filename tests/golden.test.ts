import { readFileSync } from 'node:fs';
import { collectFigures } from './golden/collect';
import { docTable } from '../scripts/docTable';
import { differences, flatten, wordDifference, type Figures } from './golden/compare';
import { TABLES } from './golden/tables';

test('what the core says of the demo kitchen is what it said: ./crumb golden shows what is not, ./crumb golden renew takes it over', () => {
  const stored = JSON.parse(readFileSync('tests/golden/figures.json', 'utf8')) as Figures;
  expect(differences(stored, flatten(collectFigures())).slice(0, 20).map(wordDifference)).toEqual([]);
  expect(Object.keys(stored).length).toBeGreaterThan(8000);
}, 120_000);

test('the tables of docs/models.md are those of the golden figures: ./crumb golden renew writes them', () => {
  const stored = JSON.parse(readFileSync('tests/golden/figures.json', 'utf8')) as Figures;
  const text = readFileSync('docs/models.md', 'utf8');
  for (const [name, table] of Object.entries(TABLES)) expect(docTable(text, name)).toBe(table(stored));
});

test('a half per cent, a sign, a word, one more and one less are noticed; rounding is not', () => {
  const stored = flatten({ a: 100, b: [1, -2], c: 'set', d: 0, e: { f: 1 } });
  const seen = (now: unknown) => differences(stored, flatten(now)).map(({ path }) => path);
  expect(seen({ a: 100.4, b: [1.00001, -2], c: 'set', d: 0.00001, e: { f: 1 } })).toEqual([]);
  expect(seen({ a: 100.6, b: [1, 2], c: 'not set', d: 0.001, e: { f: 1, g: 2 } })).toEqual([
    'a',
    'b.1',
    'c',
    'd',
    'e.g',
  ]);
  expect(seen({ a: 100, b: [1], c: 'set', d: 0, e: { f: null } })).toEqual(['b.1', 'e.f']);
});
