import { execFileSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import path from 'node:path';

test('every file of tests is run: one that no project asks for would pass whatever is broken', () => {
  const listed = execFileSync(process.execPath, ['node_modules/jest/bin/jest.js', '--listTests', '--json'], {
    encoding: 'utf8',
  });
  const run = new Set((JSON.parse(listed) as string[]).map((file) => path.relative('.', file)));
  const files = ['src', 'tests'].flatMap((folder) =>
    readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((file) => path.join(folder, file)),
  );
  const tests = files.filter((file) => /\.test\.tsx?$/.test(file));
  expect(tests.length).toBeGreaterThan(200);
  expect(tests.filter((file) => !run.has(file))).toEqual([]);
});
