/**
 * ./crumb golden [renew]: what the core says of the demo kitchen, and single models of the test doughs and bakes, against what they said; with `renew`
 * it is taken over.
 */
import { readFile, writeFile } from 'node:fs/promises';
import { consistencyFigures } from '@/core/consistency/testFigures';
import { fermentationFigures } from '@/core/fermentation/testFigures';
import { heatFigures } from '@/core/heat/testFigures';
import { collectFigures } from '../tests/golden/collect';
import { differences, flatten, wordDifference, type Figures } from '../tests/golden/compare';
import { TABLES } from '../tests/golden/tables';
import { writeDocTable } from './docTable';

const KEPT: readonly (readonly [file: string, now: Figures])[] = [
  ['tests/golden/figures.json', flatten(collectFigures())],
  ['src/core/consistency/figures.json', flatten(consistencyFigures())],
  ['src/core/fermentation/figures.json', flatten(fermentationFigures())],
  ['src/core/heat/figures.json', flatten(heatFigures())],
];
const renews = process.argv[2] === 'renew';

/** One figure a line, so that a change shows which. */
async function writeFigures(file: string, figures: Figures): Promise<void> {
  const lines = Object.entries(figures).map(
    ([name, figure]) => `  ${JSON.stringify(name)}: ${JSON.stringify(figure)}`,
  );
  await writeFile(file, `{\n${lines.join(',\n')}\n}\n`);
}

let moved = 0;
for (const [file, now] of KEPT) {
  const stored = await readFile(file, 'utf8').then(
    (text) => JSON.parse(text) as Figures,
    () => ({}),
  );
  const found = differences(stored, now);
  moved += found.length;
  for (const difference of found) console.log(wordDifference(difference));
  console.log(
    `${file}: ${Object.keys(now).length} figures, ${found.length} differ by more than half a per cent`,
  );
  if (renews) await writeFigures(file, now);
}
if (renews) {
  const demo = KEPT[0]![1];
  for (const [name, table] of Object.entries(TABLES))
    await writeDocTable('docs/models.md', name, table(demo));
  console.log('They and the tables of docs/models.md are written anew.');
}
process.exit(moved > 0 && !renews ? 1 : 0);
