import nextJest from 'next/jest.js';

const createJestConfig = nextJest({ dir: './' });

/** What the models look up millions of times: each a look into the sandbox's window, unless the module is handed it. Half of all the time these tests take. */
const OFTEN = ['Math', 'Number', 'Array', 'Object', 'Float64Array'];

export const project = async (config) => {
  const made = await createJestConfig({
    moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
    testPathIgnorePatterns: ['/node_modules/', '/.next/', '/tests/e2e/'],
    modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/.crumb'],
    ...config,
  })();
  // next/jest leaves packages alone; these are published as modules only
  return {
    sandboxInjectedGlobals: OFTEN,
    ...made,
    transformIgnorePatterns: [
      '/node_modules/(?!(?:nuqs|p-queue|p-timeout|eventemitter3|d3-array|internmap|date-fns|@date-fns)/)',
    ],
  };
};

const config = async () => ({
  projects: [
    await project({
      displayName: 'core',
      testEnvironment: 'node',
      sandboxInjectedGlobals: [...OFTEN, 'Map', 'Set', 'Int16Array'],
      setupFilesAfterEnv: ['<rootDir>/tests/patience.ts', '<rootDir>/tests/propertySeed.ts'],
      testMatch: [
        '<rootDir>/src/core/**/*.test.ts',
        '<rootDir>/src/server/**/*.test.ts',
        '<rootDir>/src/workers/**/*.test.ts',
        '<rootDir>/src/offline/**/*.test.ts',
        '<rootDir>/src/app/**/*.test.ts',
        '<rootDir>/src/wording/**/*.test.ts',
        '<rootDir>/tests/reader/*.test.ts',
        '<rootDir>/tests/*.test.ts',
      ],
    }),
    await project({
      displayName: 'doors',
      testEnvironment: 'node',
      setupFilesAfterEnv: ['<rootDir>/tests/patience.ts'],
      testMatch: ['<rootDir>/src/door/**/*.test.ts', '<rootDir>/src/host/**/*.test.ts'],
    }),
    await project({
      displayName: 'screens',
      testEnvironment: 'jsdom',
      setupFilesAfterEnv: [
        '<rootDir>/tests/patience.ts',
        '<rootDir>/tests/screenSetup.ts',
        '<rootDir>/tests/propertySeed.ts',
      ],
      testMatch: ['<rootDir>/src/features/**/*.test.{ts,tsx}', '<rootDir>/src/ui/**/*.test.{ts,tsx}'],
    }),
    await project({
      displayName: 'db',
      testEnvironment: 'node',
      setupFilesAfterEnv: ['<rootDir>/tests/patience.ts'],
      globalSetup: '<rootDir>/tests/db/makeTemplate.ts',
      testMatch: ['<rootDir>/tests/db/*.test.ts'],
    }),
  ],
});

export default config;
