import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

// each run starts a compiler
jest.setTimeout(60_000);

const EXAMPLE = 'src/core/formats/fixtures/formula.v1.json';
const run = (...given: string[]) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/predict.ts', ...given], { encoding: 'utf8' }); // prettier-ignore
  return { status, out: stdout, problem: stderr };
};

test('./crumb predict: a formula file in, what the core can say out', () => {
  const { status, out } = run(EXAMPLE, 'roomC=15', 'altitudeM=1800');
  expect(status).toBe(0);
  const said = JSON.parse(out) as Record<string, Record<string, unknown>>;
  expect(said).toMatchObject({
    format: 'honest-crumb.prediction',
    baseG: 500,
    consistency: { rested: { band: 'soft' } },
    waterTemperature: { warnings: [] },
    allergens: { allergens: [] },
  });
  expect(said.waterTemperature!.boilingC).toBeCloseTo(94, 0);
  // a kitchen at 15 °C asks for warmer water than the dough is to be
  expect(said.waterTemperature!.waterC).toBeGreaterThan(26);
});

test('./crumb predict: what it can’t read is refused with the place, on standard error', () => {
  const broken = path.join(mkdtempSync(path.join(tmpdir(), 'crumb-')), 'broken.json');
  writeFileSync(broken, '{"format": "honest-crumb.formula",\n "version": 1,');
  expect(run(broken)).toMatchObject({
    status: 1,
    out: '',
    problem: expect.stringContaining('"line":2') as string,
  });
  expect(run(EXAMPLE, 'roomC=warm').problem).toContain('"path":"roomC"');
  expect(run().status).toBe(2);
});
