/**
 * Every check there is: types, lint, Jest, Playwright against the built application. Prints what each found and closes with
 * "N passed, N failed", where the type check and the linter count as one test each.
 */
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { freshDatabase } from './freshDatabase';
import { run, serveBuilt } from './processes';

interface Count {
  readonly name: string;
  readonly passed: number;
  readonly failed: number;
}

const reports = await mkdtemp(path.join(tmpdir(), 'crumb-test-'));
const bin = (name: string) => path.join('node_modules', '.bin', name);
const single = async (name: string, work: Promise<number>): Promise<Count> => {
  const code = await work;
  return { name, passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
};

async function readReport<T>(file: string): Promise<T | null> {
  try {
    return JSON.parse(await readFile(file, 'utf8')) as T;
  } catch {
    return null;
  }
}

/** A runner that died before it could report has failed, even if no single test has. */
function counted(name: string, code: number, passed: number | undefined, failed: number | undefined): Count {
  const lost = (failed ?? 0) === 0 && (code !== 0 || (passed ?? 0) === 0) ? 1 : 0;
  return { name, passed: passed ?? 0, failed: (failed ?? 0) + lost };
}

async function jest(): Promise<Count> {
  const file = path.join(reports, 'jest.json');
  // left to itself it takes one of two cores
  const code = await run(bin('jest'), [
    '--ci',
    '--json',
    `--outputFile=${file}`,
    '--silent',
    '--maxWorkers=2',
  ]);
  const report = await readReport<{
    numPassedTests: number;
    numFailedTests: number;
    numFailedTestSuites: number;
  }>(file);
  return counted('jest', code, report?.numPassedTests, report?.numFailedTests);
}

interface BrowserSuite {
  readonly suites?: readonly BrowserSuite[];
  readonly specs: readonly {
    readonly title: string;
    readonly file: string;
    readonly tests: readonly {
      readonly status: string;
      readonly results: readonly {
        readonly errors: readonly { readonly message?: string }[];
        readonly attachments: readonly { readonly name: string; readonly path?: string }[];
      }[];
    }[];
  }[];
}
interface BrowserReport {
  readonly stats: { readonly expected: number; readonly unexpected: number; readonly flaky: number };
  readonly suites: readonly BrowserSuite[];
}

/** What went wrong in the browser, at the end, where it is found: also of what passed when it was run again. */
const failures: string[] = [];

async function tellFailures(suites: readonly BrowserSuite[]): Promise<void> {
  for (const { suites: inner, specs } of suites) {
    await tellFailures(inner ?? []);
    for (const { title, file, tests } of specs)
      for (const { status, results } of tests) {
        if (status !== 'flaky' && status !== 'unexpected') continue;
        failures.push(`${status === 'flaky' ? 'PASSED ONLY WHEN RUN AGAIN' : 'FAILED'}: ${file} › ${title}`);
        const [first] = results;
        for (const { message } of first?.errors ?? []) failures.push(stripVTControlCharacters(message ?? ''));
        const seen = first?.attachments.find(({ name }) => name === 'error-context')?.path;
        if (seen) failures.push((await readFile(seen, 'utf8').catch(() => '')).slice(0, 6000));
      }
  }
}

async function playwright(): Promise<Count> {
  const file = path.join(reports, 'playwright.json');
  const database = await freshDatabase();
  const server = await serveBuilt(database.url);
  try {
    const code = await run(bin('playwright'), ['test', ...process.argv.slice(2)], {
      env: { ...process.env, E2E_URL: server.url, E2E_REPORT: file },
    });
    const report = await readReport<BrowserReport>(file);
    const { expected, unexpected, flaky } = report?.stats ?? {};
    await tellFailures(report?.suites ?? []);
    return counted('playwright', code, (expected ?? 0) + (flaky ?? 0), unexpected ?? 0);
  } finally {
    await server.stop();
    await database.drop();
  }
}

/** A seeded sample of the three soaks that stand against the running program. */
const SCHEDULES = '6';
const REQUESTS = '1500';
const script = (name: string, ...args: string[]) =>
  single(name, run(process.execPath, ['--import', 'tsx', `scripts/${name}.ts`, ...args]));

const counts: Count[] = [];
const onlyBrowser = process.argv.length > 2;
if (!onlyBrowser) {
  // The build uses both cores, and so does Jest: one after the other. Types and lint come later: the build writes some of the types they read.
  counts.push(await single('build', run('./crumb', ['build'])));
  counts.push(await jest());
  const lint = single('lint', run(bin('eslint'), ['.', '--max-warnings', '0']));
  const also = (project: string) => async (code: number) =>
    code || (await run(bin('tsc'), ['-p', project, '--noEmit']));
  const types = run(bin('tsc'), ['--noEmit'])
    .then(also('src/core/tsconfig.json'))
    .then(also('src/offline/tsconfig.json'));
  counts.push(await single('types', types));
  counts.push(await lint);
  counts.push(await single('unused code and packages', run(bin('knip'), ['--no-config-hints'])));
} else {
  counts.push(await single('build', run('./crumb', ['build'])));
}
if (counts.find(({ name }) => name === 'build')?.failed === 0) {
  counts.push(await playwright());
  if (!onlyBrowser) {
    counts.push(await script('malformed', REQUESTS, '1'));
    counts.push(await script('faults', SCHEDULES, '1'));
    counts.push(await script('soakBench', SCHEDULES, '1'));
  }
}
await rm(reports, { recursive: true });

for (const failure of failures) console.log(failure);
for (const { name, passed, failed } of counts) console.log(`${name}: ${passed} passed, ${failed} failed`);
const total = (key: 'passed' | 'failed') => counts.reduce((sum, count) => sum + count[key], 0);
const failed = total('failed');
console.log(`${total('passed')} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
