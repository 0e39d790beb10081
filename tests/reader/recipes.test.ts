import { readFileSync } from 'node:fs';
import { libraryBook } from '../../src/core/ingredients';
import { formulaAnswers } from '../../src/core/notices';
import { readRecipe, sheetOfRecipe } from '../../src/core/recipe';
import { runOf } from '../../src/core/run';
import { sortedWords, written } from './written';

interface Sample {
  readonly name: string;
  readonly text: string;
  readonly makes: string;
  readonly parts: readonly string[];
  readonly steps: readonly string[];
}

const samplesOf = (file: string): Sample[] =>
  readFileSync(`tests/reader/${file}`, 'utf8')
    .split(/^=== /m)
    .slice(1)
    .map((block) => {
      const [head = '', answer = ''] = block.split(/^---$/m);
      const name = head.slice(0, head.indexOf('\n')).trim();
      const lines = answer.trim().split('\n');
      return {
        name,
        text: head.slice(head.indexOf('\n') + 1).trim(),
        makes: lines[0] ?? '',
        parts: lines.slice(1, -1),
        steps: sortedWords(lines.at(-1) ?? ''),
      };
    });

function ids(): () => string {
  let next = 0;
  return () => `n${next++}`;
}

/** What is read of a sample: fields wrong in silence, questions, whether a run follows without a correction. */
function check(sample: Sample) {
  const read = readRecipe(sample.text, libraryBook, 'us', ids());
  if (!read.ok) throw new Error(`${sample.name}: ${JSON.stringify(read.problem)}`);
  const reading = read.value;
  const sheet = sheetOfRecipe(reading, new Map(), libraryBook, ids());
  const wrong: string[] = [];
  const expect1 = (what: string, is: string, should: string, asked = false) => {
    if (is !== should && !asked) wrong.push(`${what}: read ${is}, should be ${should}`);
  };
  const [style = '', ...yields] = sample.makes.split(' ');
  const pieces = yields[0] && yields[0] !== 'x' ? Number(yields[0]) : null;
  const each = yields.includes('x') ? Number(yields.at(-1)) : null;
  expect1('style', sheet.formula.style, style);
  expect1('pieces', String(reading.makes.pieces), String(pieces));
  expect1('each', String(reading.makes.pieceMassG), String(each));
  expect1(
    'parts',
    reading.parts.map(({ kind }) => kind).join(),
    sample.parts.map((part) => part.split(':')[0]).join(),
  );
  sample.parts.forEach((part, index) => {
    const items = [...(reading.parts[index]?.items ?? [])];
    for (const line of (part.split(': ')[1] ?? '').split(', ')) {
      if (line === '?') {
        // some line asks where this one stands
        expect1('line', items.some(({ asks }) => asks.length > 0) ? '?' : 'sure', '?');
        continue;
      }
      const [id = '', grams = ''] = line.split(' ');
      const at = items.findIndex(
        ({ ingredientId, asks, candidates }) =>
          ingredientId === id || (asks.length > 0 && candidates.includes(id)),
      );
      const [item] = at < 0 ? [] : items.splice(at, 1);
      const asked = (item?.asks.length ?? 0) > 0;
      const massG = item?.weighed?.massG ?? 0;
      expect1(`line ${id}`, item ? id : 'nothing', id);
      expect1(
        `grams of ${id}`,
        Math.abs(massG - Number(grams)) <= 0.02 * Number(grams) ? grams : massG.toFixed(1),
        grams,
        asked || !item,
      );
    }
    // what else is taken for an ingredient, unless it asks
    for (const { text, asks } of items) if (asks.length === 0) expect1('line', text, 'none');
  });
  const steps = sortedWords(reading.steps.map((step) => written(step, reading.stepAsks)).join(' | '));
  // told apart word by word, so that one field wrong is one field
  if (
    steps.length !== sample.steps.length ||
    steps.some((step, at) => step.split(' ')[0] !== sample.steps[at]!.split(' ')[0])
  ) {
    wrong.push(`steps: read   ${steps.join(' | ')}\n              should ${sample.steps.join(' | ')}`);
  } else
    steps.forEach((step, at) => {
      // a step that asks is not silent; one that should ask and does not, is
      if (step.split(' ').includes('?')) return;
      const mine = new Set(step.split(' '));
      const theirs = new Set(sample.steps[at]!.split(' '));
      for (const word of theirs) if (!mine.has(word)) wrong.push(`step ${at + 1} ${step}: lacks ${word}`);
      for (const word of mine) if (!theirs.has(word)) wrong.push(`step ${at + 1} ${step}: has ${word}`);
    });
  const asks = sheet.open.length + reading.stepAsks.length;
  const answers = formulaAnswers(sheet.formula, libraryBook);
  const run = asks === 0 ? runOf(sheet.formula, libraryBook, answers.totals, answers.consistency) : null;
  return { wrong, asks, runs: run?.ok === true && run.value.bake !== null };
}

function report(file: string) {
  const samples = samplesOf(file);
  const all = samples.map((sample) => ({ name: sample.name, ...check(sample) }));
  return {
    samples: samples.length,
    wrong: all.flatMap(({ name, wrong }) => wrong.map((each) => `${name}: ${each}`)),
    running: all.filter(({ runs }) => runs).length,
    shy: all.filter(({ runs, asks }) => !runs && asks === 0).map(({ name }) => name),
  };
}

test.each(['recipes.txt', 'heldOut.txt', 'heldOut2.txt'])(
  'whole recipes in %s: none of what is read is wrong in silence, most give a run without a correction, the rest ask',
  (file) => {
    const { samples, wrong, running, shy } = report(file);
    expect(samples).toBe(30);
    expect(wrong).toEqual([]);
    expect(shy).toEqual([]);
    expect(running / samples).toBeGreaterThanOrEqual(0.8);
  },
);
