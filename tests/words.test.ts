import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

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

/** Attributes that somebody reads or hears. */
const READ = new Set([
  'title',
  'label',
  'aria-label',
  'placeholder',
  'hint',
  'word',
  'alt',
  'aria-description',
]);

/** Words of a screen that stand in its own code: as text between tags, or in an attribute that is read. */
function wordsIn(file: string): string[] {
  const source = ts.createSourceFile(
    file,
    readFileSync(file, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    ts.ScriptKind.TSX,
  );
  const found: string[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isJsxText(node) && /\p{L}{2}/u.test(node.text)) found.push(node.text.trim());
    if (
      ts.isJsxAttribute(node) &&
      READ.has(node.name.getText(source)) &&
      node.initializer &&
      ts.isStringLiteral(node.initializer) &&
      /\p{L}{2}/u.test(node.initializer.text)
    )
      found.push(node.initializer.text);
    ts.forEachChild(node, look);
  };
  look(source);
  return found;
}

test('all that is said stands in src/wording, so that a second language could stand beside it', () => {
  const screens = readdirSync('src', { recursive: true, encoding: 'utf8' })
    .filter((file) => /^(?:features|app|ui)\/.*\.tsx$/.test(file) && !/\.test\.|testKitchen/.test(file))
    .map((file) => path.join('src', file));
  expect(screens.length).toBeGreaterThan(100);
  expect(screens.flatMap((file) => wordsIn(file).map((text) => `${file}: ${text}`))).toEqual([]);
});

test('the words of the screens are the craft’s own: none that stops a native reader, none from before', () => {
  const files = readdirSync('src/wording', { recursive: true, encoding: 'utf8' }).filter(
    (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
  );
  const said = files.flatMap((file) =>
    [...readFileSync(path.join('src/wording', file), 'utf8').matchAll(/'((?:[^'\\]|\\.)*)'|`([^`]*)`/g)].map(
      ([, plain, woven]) => ({ file, text: plain ?? (woven ?? '').replace(/\$\{[^}]*\}/g, '') }),
    ),
  );
  expect(said.length).toBeGreaterThan(1000);
  const never =
    /\b(?:larder|revisions?|under way|reckon\w*|drinks? (?:up|its)|to mind|binders apart|story|(?<!data )sheets?|given up|the run)\b/i;
  expect(said.filter(({ text }) => never.test(text) && !/^[@./]/.test(text))).toEqual([]);
});
