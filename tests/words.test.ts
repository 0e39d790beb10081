import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

const glossary = readFileSync('docs/glossary.md', 'utf8');

test('each word of the glossary stands in it once', () => {
  const words = [...glossary.matchAll(/^\| ([a-z][^|]*?) +\|/gm)]
    .flatMap(([, cell = '']) => cell.split(', '))
    .filter((word) => word !== 'word');
  expect(words.length).toBeGreaterThan(60);
  expect(words.filter((word, index) => words.indexOf(word) !== index)).toEqual([]);
});

/** Words that were another's once, or that stop a native reader; the second is said instead. */
const INSTEAD: readonly (readonly [RegExp, string])[] = [
  [/reckon/i, 'compute'],
  [/\bthirst(?!Cv)/i, 'absorption'],
  [/\b(?:const|let|readonly) (?:kept|said|laid)\b/, 'saved, written, made'],
  [/\b(?:shelf|slice) marks?\b/i, 'slice'],
  [/\bscore marks?\b/i, 'score'],
];

test('one word for one thing', () => {
  const files = readdirSync('src', { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file))
    .map((file) => [file, readFileSync(path.join('src', file), 'utf8')] as const);
  const found = files.flatMap(([file, text]) =>
    INSTEAD.flatMap(([word, instead]) => {
      const at = word.exec(text)?.[0];
      return at ? [`${file}: “${at}”, rather ${instead}`] : [];
    }),
  );
  expect(found).toEqual([]);
});
