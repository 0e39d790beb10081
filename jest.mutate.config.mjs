import { project } from './jest.config.mjs';

/** Jest for ./crumb mutate: the tests that stand beside the folder, or the database's for what speaks with it. */
const folder = process.env.CRUMB_MUTATE ?? '';
const ofDatabase = /^src\/(?:server|db)\b/.test(folder);

const config = async () => ({
  ...(await project({
    testEnvironment: 'node',
    setupFilesAfterEnv: ['<rootDir>/tests/patience.ts', '<rootDir>/tests/propertySeed.ts'],
    ...(ofDatabase && { globalSetup: '<rootDir>/tests/db/makeTemplate.ts' }),
    testMatch: [`<rootDir>/${folder}/**/*.test.ts`, ...(ofDatabase ? ['<rootDir>/tests/db/*.test.ts'] : [])],
  })),
});

export default config;
