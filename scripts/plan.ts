import { readFile, stat } from 'node:fs/promises';
import { planDayFile } from '../src/core/day/planFile';
import { libraryBook } from '../src/core/ingredients';

/**
 * `./crumb plan FILE`: a day file in (docs/formats.md), the plan out as JSON: calls on the clock, when ovens are lit, what is late, why, and what would help. No
 * database. A refusal goes to standard error as JSON with code, path and params, and the exit code is 1.
 */
const MOST_BYTES = 8_000_000;

function fail(problem: object): never {
  console.error(JSON.stringify({ problem }));
  process.exit(1);
}

const [file] = process.argv.slice(2);
if (!file) {
  console.error('Usage: ./crumb plan FILE');
  process.exit(2);
}
const size = await stat(file).then(
  (stats) => (stats.isFile() ? stats.size : null),
  () => null,
);
if (size === null) fail({ code: 'required', path: 'file' });
if (size > MOST_BYTES) fail({ code: 'tooLong', path: 'file', params: { max: MOST_BYTES } });
const planned = planDayFile(await readFile(file, 'utf8'), libraryBook);
if (!planned.ok) fail(planned.problem);
console.log(JSON.stringify(planned.value, null, 2));
