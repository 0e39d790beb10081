import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

// each run starts a compiler
jest.setTimeout(60_000);

const EXAMPLE = 'src/core/formats/fixtures/formula.v1.json';
const run = (...given: string[]) => shell('predict', ...given);
const shell = (script: 'predict' | 'read', ...given: string[]) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', `scripts/${script}.ts`, ...given], { encoding: 'utf8' }); // prettier-ignore
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

test('./crumb read: a recipe in, the formula file and the questions out; what is no recipe is refused', () => {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'crumb-read-')), 'card.txt');
  writeFileSync(
    file,
    'Card rolls\n\n2 cups white rice flour\n8 g yeast\n300 g water\n\nMix 4 min. Divide into 8. Let it rise 1 hour or overnight in the fridge. Bake 20 min at 220 °C.\n',
  );
  const { status, out } = shell('read', file, 'measure=us');
  expect(status).toBe(0);
  const reading = JSON.parse(out) as { file: unknown; questions: { text: string; asks: string[] }[] };
  expect(reading).toMatchObject({
    format: 'honest-crumb.reading',
    version: 1,
    file: {
      format: 'honest-crumb.formula',
      formula: { name: 'Card rolls', style: 'rolls', usualYield: { pieces: 8 } },
    },
  });
  expect(reading.questions.map(({ text, asks }) => [text, asks])).toEqual([
    ['8 g yeast', ['which']],
    ['Let it rise 1 hour or overnight in the fridge.', ['time']],
  ]);
  // what it wrote is a file that the other command reads
  writeFileSync(file, JSON.stringify(reading.file));
  expect(run(file).status).toBe(0);
  const ours = shell('read', file);
  expect([ours.status, JSON.parse(ours.problem)]).toEqual([
    1,
    { problem: { code: 'wrongFormat', path: 'file' } },
  ]);
});
