/** ./crumb golden [renew]: what the core says of the demo kitchen against what it said; with `renew` it is taken over. */
import { consistencyFigures } from '@/core/consistency/testFigures';
import { fermentationFigures } from '@/core/fermentation/testFigures';
import { heatFigures } from '@/core/heat/testFigures';
import { readFile, writeFile } from 'node:fs/promises';
import { collectFigures } from '../tests/golden/collect';
import { differences, flatten, wordDifference, type Figures } from '../tests/golden/compare';
import { TABLES } from '../tests/golden/tables';
import { writeDocTable } from './docTable';

/** One figure a line, so that a change shows which. */
async function writeFigures(file: string, figures: Figures): Promise<void> {
  const lines = Object.entries(figures).map(
    ([name, figure]) => `  ${JSON.stringify(name)}: ${JSON.stringify(figure)}`,
  );
  await writeFile(file, `{\n${lines.join(',\n')}\n}\n`);
}

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
  await writeFigures(FILE, now);
  for (const [name, table] of Object.entries(TABLES)) await writeDocTable('docs/models.md', name, table(now));
  console.log(`${FILE} and the tables of docs/models.md are written anew.`);
}
/** What single models say of the test doughs and bakes, beside the models. */
const MODELS = {
  consistency: consistencyFigures,
  fermentation: fermentationFigures,
  heat: heatFigures,
};
if (process.argv[2] === 'renew')
  for (const [folder, figures] of Object.entries(MODELS)) {
    const file = `src/core/${folder}/figures.json`;
    await writeFigures(file, flatten(figures()));
    console.log(`${file} is written anew.`);
  }
process.exit(found.length > 0 && process.argv[2] !== 'renew' ? 1 : 0);
