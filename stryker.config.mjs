/** ./crumb mutate FOLDER: what faults in a folder of the sources the tests notice. Kept between runs, so that it goes on where it was broken off. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';

const folder = (process.env.CRUMB_MUTATE ?? '').replace(/\/$/, '');
const name = folder.replaceAll('/', '-');

/** The tests are one file to the tool: it does not see which of them changed, so that what it remembers holds for these very tests. */
const tests = createHash('sha256');
for (const from of folder ? [folder, 'tests/db', 'tests/reader'] : [])
  for (const file of readdirSync(from, { recursive: true, encoding: 'utf8' }).sort())
    if (file.endsWith('.test.ts')) tests.update(readFileSync(`${from}/${file}`));
const of = tests.digest('hex').slice(0, 12);

/** One of so many stretches of eight lines is tried: a folder whose tests take seconds would take a day as a whole. */
const share = Number(process.env.CRUMB_MUTATE_SHARE ?? 1);
const STRETCH = 8;
const stretches = () =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .sort()
    .filter((file) => file.endsWith('.ts') && !/(?:^|\/)test|\.test\.ts$/.test(file))
    .flatMap((file, index) => {
      const lines = readFileSync(`${folder}/${file}`, 'utf8').split('\n').length;
      return Array.from({ length: Math.ceil(lines / STRETCH) }, (_, at) => at)
        .filter((at) => (at + index) % share === 0)
        .map((at) => `${folder}/${file}:${1 + at * STRETCH}-${(at + 1) * STRETCH}`);
    });

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
const config = {
  mutate: share > 1 ? stretches() : [`${folder}/**/*.ts`, '!**/*.test.ts', '!**/test*.ts'],
  testRunner: 'jest',
  jest: {
    configFile: 'jest.mutate.config.mjs',
    enableFindRelatedTests: false,
  },
  coverageAnalysis: 'perTest',
  incremental: true,
  incrementalFile: `.crumb/mutation/${name}-${of}.json`,
  tempDirName: `.crumb/mutation/tmp-${name}`,
  reporters: ['clear-text', 'progress-append-only', 'json'],
  jsonReporter: { fileName: `.crumb/mutation/${name}.report.json` },
  clearTextReporter: { allowColor: false, reportTests: false, logTests: false, skipFull: true },
  concurrency: Number(process.env.CRUMB_CONCURRENCY ?? 2),
  timeoutMS: 15_000,
  ignoreStatic: true,
  disableTypeChecks: false,
};

export default config;
