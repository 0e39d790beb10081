import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/** A function that is longer than a screen hides its rules. */
const LONG_LINES = 90;
/** So many of ten thousand lines may be longer: what draws one picture, and the loops of the heat. */
const MOST_OF_10_000 = 3;

function longOnes(file: string, text: string): string[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isFunctionLike(node) && 'body' in node && node.body) {
      const from = source.getLineAndCharacterOfPosition(node.getStart()).line;
      const lines = source.getLineAndCharacterOfPosition(node.end).line - from + 1;
      if (lines > LONG_LINES) found.push(`${lines} lines at ${file}:${from + 1}`);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

test('few functions are longer than a screen', () => {
  const texts = readdirSync('src', { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !file.includes('.test.'))
    .map((file) => [file, readFileSync(path.join('src', file), 'utf8')] as const);
  const lines = texts.reduce((sum, [, text]) => sum + text.split('\n').length, 0);
  expect(lines).toBeGreaterThan(20_000);
  const long = texts.flatMap(([file, text]) => longOnes(file, text));
  expect(long.slice(0, Math.floor((MOST_OF_10_000 * lines) / 10_000))).toEqual(long);
});

test('a long function is seen', () => {
  const body = Array.from({ length: LONG_LINES }, (_, n) => `  console.log(${n});`).join('\n');
  expect(longOnes('a.ts', `function a() {\n${body}\n}`)).toEqual(['92 lines at a.ts:1']);
  expect(longOnes('a.ts', `const a = () => {\n  console.log(1);\n};`)).toEqual([]);
});
