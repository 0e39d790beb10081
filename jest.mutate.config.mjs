import { project } from './jest.config.mjs';

/** Jest for ./crumb mutate: the tests that stand beside the folder and those that live on it, or the database's for what speaks with it. */
const folder = process.env.CRUMB_MUTATE ?? '';
/** Whose tests notice a fault in a folder besides its own: what is built on it and asks it for values. */
const ALSO = { 'src/core/formula': ['src/core/notices'] };
const ofDatabase = /^src\/(?:server|db)\b/.test(folder);

const config = async () => ({
  ...(await project({
    testEnvironment: 'node',
    setupFilesAfterEnv: ['<rootDir>/tests/patience.ts', '<rootDir>/tests/propertySeed.ts'],
    ...(ofDatabase && { globalSetup: '<rootDir>/tests/db/makeTemplate.ts' }),
    testMatch: [
      ...[folder, ...(ALSO[folder] ?? [])].map((each) => `<rootDir>/${each}/**/*.test.ts`),
      ...(ofDatabase ? ['<rootDir>/tests/db/*.test.ts'] : []),
    ],
  })),
});

export default config;
