import { fileURLToPath } from 'node:url';
import { project } from './jest.config.mjs';

/** Jest for ./crumb mutate: the tests that stand beside the folder, or the database's for what speaks with it. */
const ofDatabase = /^src\/(?:server|db)\b/.test(process.env.CRUMB_MUTATE ?? '');

const config = async () =>
  project({
    testEnvironment: fileURLToPath(new URL('tests/mutation/firstFailure.cjs', import.meta.url)),
    setupFilesAfterEnv: ['<rootDir>/tests/patience.ts', '<rootDir>/tests/propertySeed.ts'],
    ...(ofDatabase && { globalSetup: '<rootDir>/tests/db/makeTemplate.ts' }),
    testMatch: ['<rootDir>/tests/mutation/together.ts'],
  });

export default config;
