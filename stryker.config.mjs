/** ./crumb mutate FOLDER: what faults in a folder of the sources the tests notice. Kept between runs, so that it goes on where it was broken off. */
const folder = (process.env.CRUMB_MUTATE ?? '').replace(/\/$/, '');
const name = folder.replaceAll('/', '-');

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
const config = {
  mutate: [`${folder}/**/*.ts`, '!**/*.test.ts', '!**/test*.ts'],
  testRunner: 'jest',
  jest: {
    configFile: 'jest.mutate.config.mjs',
    enableFindRelatedTests: false,
  },
  coverageAnalysis: 'perTest',
  incremental: true,
  incrementalFile: `.crumb/mutation/${name}.json`,
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
