import { readdirSync } from 'node:fs';
import { join } from 'node:path';

/*
 * All tests that ./crumb mutate asks, as one file: a fault is tried a thousand times, and what costs is not the tests but
 * loading the modules anew for every file. A file's own hooks stay with its own tests.
 */
const root = join(__dirname, '../..');
const folder = process.env.CRUMB_MUTATE ?? '';
/** Tests of a folder that stand elsewhere: they ask the database, or read files that are not code. */
const elsewhere = /^src\/(?:server|db)\b/.test(folder)
  ? ['tests/db']
  : /^src\/core\/recipe\b/.test(folder)
    ? ['tests/reader']
    : [];
const folders = [folder, ...elsewhere];

/** What notices most is asked first. */
const quickFirst = (a: string, b: string) =>
  Number(b === 'figures.test.ts') - Number(a === 'figures.test.ts') || (a < b ? -1 : 1);

for (const from of folders)
  for (const file of readdirSync(join(root, from), { recursive: true, encoding: 'utf8' }).sort(quickFirst))
    if (file.endsWith('.test.ts'))
      describe(`${from}/${file}:`, () => {
        jest.requireActual(join(root, from, file));
      });
