import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

/** Properties of the source tree that nobody would notice losing. */
const files = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.tsx?$/.test(file))
  .map((file) => ({ file, text: readFileSync(path.join('src', file), 'utf8') }));
const sources = files.filter(
  ({ file }) =>
    !/\.test\.tsx?$|testFormulas|testIngredients|testBatch|testBakes|testRuns|testKitchen/.test(file),
);

/** Folder of src a file imports from, for its alias and relative imports. */
function importsOf({ file, text }: { file: string; text: string }): string[] {
  return [...text.matchAll(/(?:from|import\()\s*'([^']+)'/g)].flatMap(([, target = '']) => {
    if (target.startsWith('@/')) return [target.slice(2).split('/')[0] ?? ''];
    if (!target.startsWith('.')) return [`npm:${target}`];
    return [path.join(path.dirname(file), target).split('/')[0] ?? ''];
  });
}

const MAY: Record<string, string[]> = {
  wording: ['wording', 'core', 'npm:'],
  core: ['core', 'npm:zod', 'npm:papaparse', 'npm:d3-array', 'npm:ml-matrix', 'npm:simple-statistics', 'npm:jsonc-parser', 'npm:date-fns', 'npm:@date-fns/tz', 'npm:ical.js'], // prettier-ignore
  ui: ['ui', 'wording', 'npm:'],
  workers: ['workers', 'core', 'npm:'],
  offline: ['offline', 'door', 'wording', 'npm:'],
  features: ['features', 'wording', 'ui', 'workers', 'offline', 'core', 'npm:'],
  db: ['db', 'core', 'npm:'],
  server: ['server', 'db', 'core', 'demo', 'npm:'],
  door: ['door', 'core', 'npm:'],
  host: ['host', 'door', 'server', 'db', 'core', 'npm:'],
  app: ['app', 'features', 'wording', 'server', 'ui', 'core', 'npm:'],
};

test('imports run one way', () => {
  const strays = sources.flatMap((source) => {
    const home = source.file.split('/')[0] ?? '';
    const may = MAY[home];
    if (!may) return [];
    return (
      importsOf(source)
        // the API's edge and the benchmark's empty handler stand between the web and the database
        .filter((target) => !(source.file.startsWith('app/api/') && target === 'db'))
        .filter(
          (target) =>
            !may.some((allowed) => (allowed === 'npm:' ? target.startsWith(allowed) : target === allowed)),
        )
        .filter((target) => !target.endsWith('.css'))
        .map((target) => `${source.file} → ${target}`)
    );
  });
  expect(strays).toEqual([]);
});

/** The folder a file belongs to, as far as folders stand beside one another: `core/heat`, `features/run`. */
const folderOf = (file: string): string => {
  const [home = '', inside, ...rest] = file.split('/');
  return rest.length > 0 ? `${home}/${inside}` : home;
};

/** What each file of ours needs of ours, types and parts fetched later included. */
function needsOfFiles(): Map<string, string[]> {
  const byModule = new Map(sources.map(({ file }) => [file.replace(/(?:\/index)?\.tsx?$/, ''), file]));
  return new Map(
    sources.map(({ file, text }) => [
      file,
      [...text.matchAll(/(?:from|import\()\s*'((?:@\/|\.)[^']*)'/g)].flatMap(([, target = '']) => {
        const into = target.startsWith('@/') ? target.slice(2) : path.join(path.dirname(file), target);
        return byModule.get(into) ?? [];
      }),
    ]),
  );
}

/** One way round for each circle there is. */
function circlesIn(needs: ReadonlyMap<string, readonly string[]>): string[] {
  const done = new Set<string>();
  const circles: string[] = [];
  const walk = (file: string, way: readonly string[]): void => {
    const at = way.indexOf(file);
    if (at >= 0) circles.push([...way.slice(at), file].join(' → '));
    if (at >= 0 || done.has(file)) return;
    for (const next of needs.get(file) ?? []) walk(next, [...way, file]);
    done.add(file);
  };
  for (const file of needs.keys()) walk(file, []);
  return circles;
}

test('no files go round in a circle, and no two folders need each other', () => {
  const needs = needsOfFiles();
  expect([...needs.values()].flat().length).toBeGreaterThan(1000);
  expect(circlesIn(needs)).toEqual([]);
  const folders = new Set<string>();
  for (const [file, targets] of needs)
    for (const into of targets)
      if (folderOf(into) !== folderOf(file)) folders.add(`${folderOf(file)} → ${folderOf(into)}`);
  const back = (pair: string) => pair.split(' → ').reverse().join(' → ');
  expect([...folders].filter((pair) => folders.has(back(pair)))).toEqual([]);
  expect(
    circlesIn(
      new Map([
        ['a', ['b']],
        ['b', ['c', 'd']],
        ['c', ['a']],
        ['d', []],
      ]),
    ),
  ).toEqual(['a → b → c → a']);
});

test('the core knows no clock, no chance, no screen and no machine', () => {
  const found = sources
    .filter(({ file }) => file.startsWith('core/'))
    .flatMap(({ file, text }) =>
      [
        ...text.matchAll(
          /Date\.now|Math\.random|new Date\(\)|\bprocess\.|'node:|\bwindow\.|\bdocument\.|\bfetch\(/g,
        ),
      ].map(([what]) => `${file}: ${what}`),
    );
  expect(found).toEqual([]);
});

test('no file is a drawer, and none has grown past reading', () => {
  expect(
    files.filter(({ file }) => /utils?\.|helpers?\.|misc\./i.test(file)).map(({ file }) => file),
  ).toEqual([]);
  expect(sources.filter(({ text }) => text.split('\n').length > 400).map(({ file }) => file)).toEqual([]);
});
