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

/** Keys of the keyboard as the browser calls them, and the directive of a file. */
const NO_WORDS = new Set(['use client', 'Enter', 'Escape']);

const isText = (node: ts.Node): node is ts.LiteralLikeNode =>
  ts.isStringLiteral(node) ||
  ts.isNoSubstitutionTemplateLiteral(node) ||
  ts.isTemplateHead(node) ||
  ts.isTemplateMiddle(node) ||
  ts.isTemplateTail(node);

/** A capital word, or two small words beside each other: what a style's or a document's names are not. */
const isProse = (text: string): boolean =>
  /^[A-Z][a-z’]+(?:$|[ .,:…])/.test(text) || /[a-z’]{2,},? [a-z’“]{2,}/.test(text);

/** Whether a text is a style, a question to the document or an error for the log, by what it is handed to. */
function isNoWord(node: ts.Node, source: ts.SourceFile): boolean {
  const above = node.parent;
  if (ts.isSourceFile(above)) return false;
  if (ts.isNewExpression(above)) return true;
  const to = ts.isCallExpression(above)
    ? above.expression
    : ts.isJsxAttribute(above) || ts.isVariableDeclaration(above) || ts.isPropertyAssignment(above)
      ? above.name
      : null;
  if (
    to &&
    /class|^cx$|closest|querySelector|^within$|^(?:FIELD|border|fill|style)$/i.test(to.getText(source))
  )
    return true;
  return isNoWord(above, source);
}

/** Words of a screen that stand in its own code: between tags, in an attribute that is read, or as a text among the code. */
function wordsIn(file: string): string[] {
  const source = ts.createSourceFile(
    file,
    readFileSync(file, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found: string[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxText(node) && /\p{L}{2}/u.test(node.text)) found.push(node.text.trim());
    if (isText(node) && !NO_WORDS.has(node.text)) {
      const shown =
        ts.isJsxAttribute(node.parent) && READ.has(node.parent.name.getText(source))
          ? /\p{L}{2}/u.test(node.text)
          : isProse(node.text) && !isNoWord(node, source);
      if (shown) found.push(node.text);
    }
    ts.forEachChild(node, look);
  };
  look(source);
  return found;
}

test('all that is said stands in src/wording, so that a second language could stand beside it', () => {
  const screens = readdirSync('src', { recursive: true, encoding: 'utf8' })
    .filter(
      (file) =>
        /^(?:features|app|ui)\/(?!api\/).*\.tsx?$/.test(file) && !/\.test\.|testKitchen|earlyKeys/.test(file), // the last is a script as text
    )
    .map((file) => path.join('src', file));
  expect(screens.length).toBeGreaterThan(200);
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
