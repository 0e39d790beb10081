import { readFileSync } from 'node:fs';
import { readMethod } from '../../src/core/recipe';
import { sortedWords, written } from './written';

/** What has happened before a paragraph, as a method would have told it. */
const BEFORE: Readonly<Record<string, string>> = {
  mixed: 'Mix the dough.',
  shaped: 'Mix the dough. Shape it.',
  baked: 'Mix the dough. Shape it. Bake it.',
  // the paragraph itself is of a sauce or a bath
  aside: 'Mix the dough. Shape it.',
};

interface Sample {
  readonly text: string;
  readonly before: string;
  readonly aside: boolean;
  readonly expected: readonly string[];
  /** Where that is not understood yet: what is read meanwhile, and asked about. */
  readonly asked: readonly string[] | null;
}

const samples: Sample[] = readFileSync('tests/reader/paragraphs.txt', 'utf8')
  .split(/\n\s*\n/)
  .map((block) => block.trim())
  .filter((block) => block !== '' && !block.startsWith('#'))
  .map((block) => {
    const [first = '', told = ''] = block.split('\n> ');
    const [expected = '', asked = null] = told.split('\n~ ');
    const [, mark, text = ''] = /^(?:\{(\w+)\} )?([\s\S]*)$/.exec(first) ?? [];
    return {
      text,
      before: mark ? (BEFORE[mark] ?? '') : '',
      aside: mark === 'aside',
      expected: sortedWords(expected),
      asked: asked === null ? null : sortedWords(asked),
    };
  });

function read({ text, before, aside }: Sample): string[] {
  let next = 0;
  const paragraphs = [...(before ? [{ text: before, aside: false }] : []), { text, aside }];
  const given = before ? readMethod(paragraphs.slice(0, 1), () => 'x').steps.length : 0;
  const { steps, asks } = readMethod(paragraphs, () => `s${next++}`);
  return sortedWords(steps.slice(given).map((step) => written(step, asks)).join(' | ')); // prettier-ignore
}

test('250 paragraphs in many voices: what is read is right, or it is asked', () => {
  expect(samples.length).toBeGreaterThanOrEqual(250);
  const wrong = samples.flatMap((sample) => {
    // as many steps, and each the same in every field; or as it is written down to be asked about
    const [is, should] = [read(sample), sample.asked ?? sample.expected].map((steps) => steps.join(' | '));
    const asks = sample.asked?.some((step) => step.split(' ').includes('?')) ?? true;
    return is === should && asks ? [] : [`${sample.text}\n  is   ${sample.expected.join(' | ')}\n  read ${is}`];
  });
  expect(wrong).toEqual([]);
}); // prettier-ignore
