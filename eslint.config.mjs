import next from 'eslint-config-next/core-web-vitals';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

/** Imports run one way: app → features, server · features → ui, workers, core · server → db, core · workers → core. */
const forbid = (...folders) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: [
        {
          regex: `^(?:@/|(?:\\.\\./)+)(?:${folders.join('|')})(?:/|$)`,
          message: 'This import goes against the grain (docs/architecture.md).',
        },
      ],
    },
  ],
});

const rules = [
  {
    ignores: [
      '.next/**',
      '.crumb*/**',
      'node_modules/**',
      'next-env.d.ts',
      'playwright-report/**',
      'test-results/**',
    ],
  },
  // React's rules where there is React: they take a third of the time, and most files are the core's
  ...next.map((config) =>
    config.rules ? { ...config, files: ['src/{app,features,ui}/**/*.{ts,tsx}'] } : config,
  ),
  ...tseslint.configs.recommendedTypeChecked.map((config) => ({ ...config, files: ['**/*.{ts,tsx}'] })),
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      'no-control-regex': 'off',
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      ...forbid('app', 'features', 'ui', 'workers', 'server', 'db', 'demo'),
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'fetch',
        'process',
        'performance',
        'setTimeout',
        'localStorage',
        'crypto',
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.name='Date'][property.name='now']",
          message: 'Time is an argument.',
        },
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'Chance is an argument.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time is an argument.',
        },
      ],
    },
  },
  { files: ['src/ui/**/*.{ts,tsx}'], rules: forbid('app', 'features', 'server', 'db', 'core', 'workers') },
  { files: ['src/features/**/*.{ts,tsx}'], rules: forbid('app', 'server', 'db') },
  { files: ['src/db/**/*.ts'], rules: forbid('app', 'features', 'server', 'ui') },
  { files: ['src/server/**/*.ts'], rules: forbid('app', 'features', 'ui', 'workers') },
  {
    files: ['src/door/**/*.ts'],
    rules: forbid('app', 'features', 'ui', 'workers', 'server', 'db', 'host'),
  },
  { files: ['src/host/**/*.ts'], rules: forbid('app', 'features', 'ui', 'workers') },
  { files: ['src/app/**/*.{ts,tsx}'], ignores: ['src/app/api/**'], rules: forbid('db') },
  { files: ['**/*.test.{ts,tsx}', 'tests/**/*.ts'], rules: { 'max-lines': ['error', { max: 500 }] } },
  prettier,
];

export default rules;
