import { readFileSync } from 'node:fs';
import { readMethod } from '../../src/core/recipe';
import { sortedWords, written } from './written';

/** What has happened before a paragraph, as a method would have told it. */
const BEFORE: Readonly<Record<string, string>> = {
  mixed: 'Mix the dough.',
  shaped: 'Mix the dough. Shape it.',
  baked: 'Mix the dough. Shape it. Bake it.',
};

interface Sample {
  readonly text: string;
  readonly before: string;
  readonly expected: readonly string[];
}

const samples: Sample[] = readFileSync('tests/reader/paragraphs.txt', 'utf8')
  .split(/\n\s*\n/)
  .map((block) => block.trim())
  .filter((block) => block !== '' && !block.startsWith('#'))
  .map((block) => {
    const [first = '', expected = ''] = block.split('\n> ');
    const [, mark, text = ''] = /^(?:\{(\w+)\} )?([\s\S]*)$/.exec(first) ?? [];
    return { text, before: mark ? (BEFORE[mark] ?? '') : '', expected: sortedWords(expected) };
  });

function read({ text, before }: Sample): string[] {
  let next = 0;
  const paragraphs = [before, text].filter(Boolean).map((each) => ({ text: each, aside: false }));
  const given = before ? readMethod(paragraphs.slice(0, 1), () => 'x').steps.length : 0;
  const { steps, asks } = readMethod(paragraphs, () => `s${next++}`);
  return sortedWords(steps.slice(given).map((step) => written(step, asks)).join(' | ')); // prettier-ignore
}

test('250 paragraphs in many voices: what is read is right, or it is asked', () => {
  expect(samples.length).toBeGreaterThanOrEqual(250);
  const wrong = samples.flatMap((sample) => {
    // as many steps, and each the same in every field, or it asks
    const got = read(sample);
    const [is, should] = [got.join(' | '), sample.expected.join(' | ')];
    const silent = got.length !== sample.expected.length || got.some((step, at) => step !== sample.expected[at] && !step.split(' ').includes('?'));
    return !silent ? [] : [`${sample.text}\n  is   ${should}\n  read ${is}`];
  });
  expect(wrong).toEqual([]);
}); // prettier-ignore
