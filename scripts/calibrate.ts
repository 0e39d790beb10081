/**
 * ./crumb calibrate [fit|tell] [afresh] [GROUP ...]: fits the figures of core/calibrated to what practice says (consistency, then fermentation, then
 * heat: each uses what the ones before it found), writes them with how well they are known, then tells every row, judges each style by a
 * fit that has not seen it, and writes the tables of docs/models.md. `tell` leaves the figures as they are; `afresh` begins at the
 * priors, not where the last fit ended; `known` leaves the figures and writes anew how well each is known. About forty minutes, most of it heat.
 */
import { writeFile } from 'node:fs/promises';
import * as prettier from 'prettier';
import { FIGURES } from '@/core/calibrated';
import { FIGURE_NAMES, PRIORS, type FigureName, type Figures } from '@/core/calibrated/priors';
import { FIGURE_DRAWS, figuresDrawn } from '@/core/calibrated/draws';
import { FITTED } from '@/core/calibrated/fitted';
import { askWith } from '../tests/calibration/ask';
import before from '../tests/calibration/before.json';
import { drawnFigures, fitFigures, type FitOutcome } from '../tests/calibration/fit';
import { counts, leftOut, told, type StyleLeftOut } from '../tests/calibration/judge';
import type { Row } from '../tests/calibration/practice';
import { TEN_DOUGHS } from '../tests/calibration/rows/tenDoughs';
import { GIVEN_ROWS, OWN_ROWS, seen } from '../tests/calibration/table';
import { CALIBRATION_TABLES, type Calibration } from '../tests/calibration/tables';
import { writeDocTable } from './docTable';

const words = process.argv.slice(2);
const groups: Row['group'][] = ['consistency', 'fermentation', 'heat'];
const asked = groups.filter((group) => words.includes(group));
const FILE = 'src/core/calibrated/fitted.ts';
const ALL = [...GIVEN_ROWS, ...OWN_ROWS];

async function formatted(file: string, text: string): Promise<void> {
  const options = await prettier.resolveConfig(file);
  await writeFile(file, await prettier.format(text, { ...options, filepath: file }));
}

async function writeFigures(
  fitted: Readonly<Partial<Record<string, (typeof FITTED)[FigureName]>>>,
): Promise<void> {
  const lines = FIGURE_NAMES.flatMap((name) => {
    const each = fitted[name];
    return each
      ? [`'${name}': { value: ${each.value}, sd: ${each.sd}, rows: ${JSON.stringify(each.rows)} },`]
      : [];
  });
  await formatted(
    FILE,
    `import type { FigureName } from './priors';

/** Written by \`./crumb calibrate\`: each figure's middle, how well it is known, and the rows that speak for it. */
export interface Fitted {
  readonly value: number;
  /** Relative where the figure's prior is. */
  readonly sd: number;
  readonly rows: readonly string[];
}

export const FITTED: Partial<Readonly<Record<FigureName, Fitted>>> = {
${lines.join('\n')}
};
`,
  );
}

/** What the models compute with, value and sd alone: no words and no rows, for a sheet carries it to the browser. */
async function writeInForce(
  fitted: Readonly<Partial<Record<string, (typeof FITTED)[FigureName]>>>,
): Promise<void> {
  const lines = FIGURE_NAMES.map((name) => {
    const { value, sd } = fitted[name] ?? PRIORS[name];
    return `'${name}': [${value}, ${sd}],`;
  });
  await formatted(
    'src/core/calibrated/inForce.ts',
    `import type { FigureName } from './priors';

/** Written by \`./crumb calibrate\`: each figure in force and how well it is known, one sd; relative where its prior is. */
export const IN_FORCE: Readonly<Record<FigureName, readonly [number, number]>> = {
${lines.join('\n')}
};
`,
  );
}

/** How well heat's figures are known goes into its ranges. */
async function writeDrawn(names: FitOutcome['names']): Promise<void> {
  const lines = names.map(
    (name) => `'${name}': ${JSON.stringify(drawn.map((each) => Number(each[name].toPrecision(4))))},`,
  );
  await formatted(
    'src/core/calibrated/drawn.ts',
    `import type { FigureName } from './priors';

/**
 * Written by \`./crumb calibrate\`: the heat's figures as they might as well be, each in so many sets that stand for how well they are known together. Apart
 * from the fitted ones, for a sheet has no use for them.
 */
export const DRAWN: Partial<Readonly<Record<FigureName, readonly number[]>>> = {
${lines.join('\n')}
};
`,
  );
}

/** Heat is full of corners: a range is flat inside, a crust forms or does not. */
const SWEEPS = 2;

/** One that has just been thought of begins where it was believed to be. */
let figures: Figures = {
  ...(Object.fromEntries(FIGURE_NAMES.map((name) => [name, PRIORS[name].value])) as Figures),
  ...FIGURES,
};
/** As heat's might as well be: those that are written. */
let drawn: readonly Figures[] = Array.from({ length: FIGURE_DRAWS }, (_, draw) => figuresDrawn(draw));
let fitted: Partial<Record<string, (typeof FITTED)[FigureName]>> = { ...FITTED };
const styles: StyleLeftOut[] = [];
for (const group of groups) {
  const rows = ALL.filter((row) => row.group === group);
  const names = FIGURE_NAMES.filter((name) => PRIORS[name].group === group);
  const fits = !words.includes('tell') && (asked.length === 0 || asked.includes(group));
  const keeps = words.includes('known');
  const rounds = !fits || keeps ? 0 : 14;
  // nothing of this group is asked: neither fitted nor told
  if ((words.includes('fit') || keeps) && !fits) continue;
  if (fits && words.includes('afresh'))
    figures = { ...figures, ...Object.fromEntries(names.map((name) => [name, PRIORS[name].value])) };
  console.log(`${group}: ${names.length} figures, ${rows.length} rows${rounds === 0 ? ', as they are' : ''}`);
  const outcome: FitOutcome = fitFigures(
    names,
    rows,
    figures,
    rounds,
    (text) => console.log(`  ${text}`),
    rounds > 0 && group === 'heat' ? SWEEPS : 0,
  );
  figures = outcome.figures;
  if (fits) {
    if (group === 'heat') drawn = drawnFigures(outcome, outcome.covariance);
    fitted = { ...fitted, ...outcome.fitted };
    await writeFigures(fitted);
    await writeInForce(fitted);
    if (group === 'heat') await writeDrawn(outcome.names);
    console.log(`  ${outcome.settled ? 'settled' : 'not settled'} at ${outcome.cost.toFixed(1)}`);
  }
  for (const name of names) {
    const prior = PRIORS[name];
    const now = outcome.fitted[name]!;
    console.log(
      `  ${name.padEnd(22)} ${prior.value} ± ${prior.sd} -> ${now.value} ± ${now.sd}  ${now.rows.join(' ')}`,
    );
  }
  if (!words.includes('fit') && !keeps) styles.push(...leftOut(outcome, rows, before));
}
if (!words.includes('fit') && !words.includes('known')) {
  askWith(figures, drawn);
  const found: Calibration = {
    given: seen(GIVEN_ROWS).map(told),
    own: seen(OWN_ROWS).map(told),
    ten: seen(TEN_DOUGHS).map(told),
    leftOut: styles,
    words: Object.fromEntries([...ALL, ...TEN_DOUGHS].map(({ id, dough }) => [id, dough])),
  };
  await formatted('tests/calibration/told.json', JSON.stringify(found));
  for (const [name, table] of Object.entries(CALIBRATION_TABLES))
    await writeDocTable('docs/models.md', name, table(found));
  for (const sure of ['A', 'B'] as const)
    console.log(sure, counts(found.given.filter((each) => each.sure === sure)));
  for (const { style, group, covered, wide, inRange, answers } of styles)
    console.log(
      `${group.padEnd(14)} ${style.padEnd(22)} ${inRange}/${answers} covered ${covered.toFixed(2)} wide ${wide.toFixed(2)}`,
    );
  console.log('tests/calibration/told.json and the tables of docs/models.md are written anew.');
}
