/** ./crumb golden [renew]: what the core says of the demo kitchen against what it said; with `renew` it is taken over. */
import { readFile, writeFile } from 'node:fs/promises';
import { collectFigures } from '../tests/golden/collect';
import { differences, flatten, wordDifference, type Figures } from '../tests/golden/compare';
import { TABLES } from '../tests/golden/tables';
import { writeDocTable } from './docTable';

const FILE = 'tests/golden/figures.json';
const stored = await readFile(FILE, 'utf8').then(
  (text) => JSON.parse(text) as Figures,
  () => ({}),
);
const now = flatten(collectFigures());
const found = differences(stored, now);
for (const difference of found) console.log(wordDifference(difference));
console.log(`${Object.keys(now).length} figures, ${found.length} differ by more than half a per cent`);
if (process.argv[2] === 'renew') {
  const lines = Object.entries(now).map(
    ([path, figure]) => `  ${JSON.stringify(path)}: ${JSON.stringify(figure)}`,
  );
  await writeFile(FILE, `{\n${lines.join(',\n')}\n}\n`);
  for (const [name, table] of Object.entries(TABLES)) await writeDocTable('docs/models.md', name, table(now));
  console.log(`${FILE} and the tables of docs/models.md are written anew.`);
}
process.exit(found.length > 0 && process.argv[2] !== 'renew' ? 1 : 0);
