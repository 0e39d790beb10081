import { errorsOf, replayFeel, replayRise, replaySlice, type Replay } from '../src/core/record/testKitchens';
import { writeDocTable } from './docTable';

/**
 * `./crumb soak learning [KITCHENS SEED]`: made-up kitchens with a hidden truth bake eight times and learn. Exit 1 where the error of what is expected
 * has not halved after five bakes, or is worse by then than before anything was learnt by more than a day's noise in more than one kitchen of fifty.
 */
const [count = 300, seed = 1] = process.argv.slice(2).map(Number);
const BAKES = 8;
const KINDS: readonly (readonly [string, (seed: number, bakes: number) => Replay])[] = [
  ['rise: ln growth', replayRise],
  ['feel: ln saturation', replayFeel],
  ['a cut: ln height over width', replaySlice],
];
const rows: string[] = [];
for (const [name, replay] of KINDS) {
  const all = Array.from({ length: count }, (_, at) => replay(seed * 10_000 + at, BAKES));
  const errors = errorsOf(all);
  const worse = all.filter(({ errors: own, noise }) => own[5]! > own[0]! + noise).length;
  rows.push(
    `| ${name} | ${errors.map((error) => error.toFixed(3)).join(' | ')} | ${((100 * worse) / count).toFixed(1)} % |`,
  );
  if (errors[5]! > 0.5 * errors[0]! || worse > count / 50) process.exitCode = 1;
}
const heads = Array.from({ length: BAKES + 1 }, (_, bakes) => `${bakes} bakes`);
const table = [
  `| error of what is expected | ${heads.join(' | ')} | after 5 worse than before by a day’s noise |`,
  `| --- |${heads.map(() => ' --- |').join('')} --- |`,
  ...rows,
].join('\n');
console.log(table);
if (count >= 300) await writeDocTable('docs/models.md', 'learning', table);
