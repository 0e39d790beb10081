import type { pooled, QuestionId } from '../tasting';
import { checkedAdvice, type TakenAdvice } from '.';

const expects: TakenAdvice['expects'] = [
  { question: 'gumminess', was: 2, same: 2.3, value: 3.9, low: 3, high: 4.8 },
  { question: 'colourAbove', was: 1, same: 1.5, value: 2.8, low: 2, high: 3.6 },
];
type Pooled = ReturnType<typeof pooled> extends Map<QuestionId, infer P> ? P : never;
const tasted = (scores: Partial<Record<QuestionId, number>>) =>
  new Map<QuestionId, Pooled>(
    Object.entries(scores).map(([id, mean]) => [id as QuestionId, { mean, spread: null, count: 1 }]),
  );

test.each([
  ['both came nearer to their best', tasted({ gumminess: 4, colourAbove: 3 }), 'right'],
  // 3 is the best of a colour: over it is as far as under it
  ['one did, the other went past it', tasted({ gumminess: 4, colourAbove: 5 }), 'half'],
  ['none did', tasted({ gumminess: 2, colourAbove: 1 }), 'wrong'],
  ['what was tasted was not asked', tasted({ flavour: 5 }), 'open'],
  ['nobody tasted it', null, 'open'],
] as const)('%s', (_, scores, verdict) => {
  expect(checkedAdvice({ expects }, scores).verdict).toBe(verdict);
});

test('inside of what was told, or not, is said score by score', () => {
  const { scores } = checkedAdvice({ expects }, tasted({ gumminess: 4.9, colourAbove: 3 }));
  expect(scores.map(({ isInside, isBetter }) => [isInside, isBetter])).toEqual([[false, true], [true, true]]); // prettier-ignore
});
